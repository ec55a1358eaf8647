import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useRef, useState } from 'react'
import { answer, http, Refusal, type Schemas } from '../api/client'
import { useInitials } from '../app/settings'
import { Button } from '../ui/Button'
import { Dialog } from '../ui/Dialog'
import { clock, day } from '../ui/format'
import { ErrorNotice, Loading } from '../ui/Notice'
import { DevicesSection } from './DevicesSection'
import { KeepingSection } from './KeepingSection'
import { SignersSection } from './SignersSection'

type Setting = Schemas['SettingView']
type Values = Record<string, number | null>

/** What is sent: values, and what goes back to its default. */
const sent = (values: Values) => ({
  values: Object.fromEntries(Object.entries(values).filter((v): v is [string, number] => v[1] !== null)),
  defaults: Object.keys(values).filter((k) => values[k] === null),
})

/** A value as it is read: its name where it is one of a few. */
const named = (s: Setting | undefined, value: number) => s?.choices?.[value] ?? value

const told = (e: unknown) => (e instanceof Refusal ? (e.errors[0]?.message ?? e.message) : String(e))

/** Every working default in one place: what it is, why, who changed it, and what a change does to open jobs. */
export function SettingsPage() {
  const client = useQueryClient()
  const [by] = useInitials()
  const [words, find] = useState('')
  const [asking, ask] = useState<{ values: Values; what: string }>()
  const [fault, setFault] = useState<string>()
  const file = useRef<HTMLInputElement>(null)
  const all = useQuery({ queryKey: ['settings'], queryFn: () => answer(http.GET('/api/settings')) })
  if (all.error) return <ErrorNotice error={all.error} again={() => all.refetch()} />
  if (!all.data) return <Loading what="the settings" />
  const found = all.data.settings.filter((s) =>
    `${s.name} ${s.group} ${s.reason}`.toLowerCase().includes(words.trim().toLowerCase()),
  )
  const groups = Object.entries(Object.groupBy(found, (s) => s.group)) as [string, Setting[]][]
  const keep = async (reason: string) => {
    if (!asking) return
    try {
      await answer(http.PUT('/api/settings', { body: { ...sent(asking.values), reason, by } }))
      ask(undefined)
      await client.invalidateQueries()
    } catch (e) {
      setFault(told(e))
    }
  }
  const read = async (f: File) => {
    setFault(undefined)
    try {
      const taken = JSON.parse(await f.text()) as { format?: string; values?: Values }
      if (taken.format !== 'faithful-bracket/settings' || !taken.values)
        throw new Error(`${f.name} is no file of settings.`)
      const now = new Map(all.data.settings.map((s) => [s.key, s.value]))
      const values = Object.fromEntries(Object.entries(taken.values).filter(([k, v]) => now.get(k) !== v))
      if (Object.keys(values).length === 0) setFault(`${f.name} changes nothing.`)
      else ask({ values, what: `${Object.keys(values).length} settings out of ${f.name}` })
    } catch (e) {
      setFault(told(e))
    }
  }
  return (
    <main className="scroll-thin min-h-0 overflow-y-auto bg-mat px-6 py-5" tabIndex={0} aria-label="Settings">
      <div className="mb-3 flex flex-wrap items-end gap-3">
        <h1 className="min-w-0 flex-1 text-[26px] font-bold">Settings</h1>
        <input
          value={words}
          onChange={(e) => find(e.target.value)}
          placeholder="coolant, wait, paste"
          aria-label="Find a setting"
          className="min-h-11 w-64 border border-rule bg-raised px-3 text-[17px]"
        />
        <a
          href="/api/settings/file"
          download="settings.json"
          className="inline-flex min-h-11 items-center rounded-[3px] border border-rule bg-raised px-3 font-semibold"
        >
          Save as a file
        </a>
        <Button onClick={() => file.current?.click()}>Take from a file</Button>
        <input
          ref={file}
          type="file"
          accept="application/json,.json"
          className="hidden"
          aria-label="Settings file"
          onChange={(e) => {
            const f = e.target.files?.[0]
            e.target.value = ''
            if (f) void read(f)
          }}
        />
      </div>
      {fault && !asking && (
        <p role="alert" className="mb-3 text-plum">
          {fault}
        </p>
      )}
      {!words && (
        <>
          <SignersSection />
          <DevicesSection />
          <KeepingSection />
        </>
      )}
      <div className="gap-4 xl:columns-2">
        {groups.map(([group, list]) => (
          <section
            key={group}
            aria-label={group}
            className="mb-4 break-inside-avoid bg-card p-4 shadow-[inset_0_0_0_1px_var(--rule)]"
          >
            <h2 className="mb-1 text-[18px] font-bold text-copper">{group}</h2>
            {list.map((s) => (
              <OneSetting
                key={s.key + s.value}
                s={s}
                change={(value) => ask({ values: { [s.key]: value }, what: s.name })}
              />
            ))}
          </section>
        ))}
      </div>
      {found.length === 0 && <p className="text-[18px] text-soft">None is called so.</p>}
      {all.data.history.length > 0 && (
        <section aria-label="History" className="mt-4 bg-card p-4 shadow-[inset_0_0_0_1px_var(--rule)]">
          <h2 className="mb-1 text-[18px] font-bold text-copper">History</h2>
          {all.data.history.map((h) => (
            <p key={h.id} className="flex items-baseline gap-3 border-b border-rule/60 py-1 text-[15px]">
              <b className="w-72 shrink-0">{all.data.settings.find((s) => s.key === h.key)?.name ?? h.key}</b>
              <span className="num w-24 shrink-0 text-[17px]">
                {h.value == null
                  ? 'default'
                  : named(
                      all.data.settings.find((s) => s.key === h.key),
                      h.value,
                    )}
              </span>
              <span className="min-w-0 flex-1">{h.reason}</span>
              <span className="shrink-0 text-soft">
                {h.byInitials} {day(h.at)} {clock(h.at)}
              </span>
            </p>
          ))}
        </section>
      )}
      {asking && (
        <Consequences
          asking={asking}
          by={by}
          fault={fault}
          keep={keep}
          leave={() => {
            ask(undefined)
            setFault(undefined)
          }}
        />
      )}
    </main>
  )
}

function OneSetting({ s, change }: { s: Setting; change: (value: number | null) => void }) {
  const [text, setText] = useState(String(s.value))
  const value = Number(text.trim().replace(',', '.'))
  const moved = text.trim() !== '' && Number.isFinite(value) && value !== s.value
  return (
    <form
      className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-3 border-b border-rule/60 py-2"
      onSubmit={(e) => {
        e.preventDefault()
        if (moved) change(value)
      }}
    >
      <div className="contents">
        <span className="self-center text-[16.5px] leading-tight">
          <label htmlFor={`set-${s.key}`}>{s.name}</label>
          {s.value !== s.default && <b className="ml-2 text-[14px] text-copper">default {named(s, s.default)}</b>}
        </span>
        <span className="flex items-center gap-2">
          {s.choices ? (
            <select
              id={`set-${s.key}`}
              value={text}
              onChange={(e) => setText(e.target.value)}
              className="min-h-9 border border-rule bg-raised px-2 text-[17px]"
            >
              {s.choices.map((c, i) => (
                <option key={c} value={i}>
                  {c}
                </option>
              ))}
            </select>
          ) : (
            <>
              <input
                id={`set-${s.key}`}
                value={text}
                inputMode="decimal"
                onChange={(e) => setText(e.target.value)}
                className="num w-24 border border-rule bg-raised px-2 py-1 text-right text-[19px]"
              />
              <span className="w-14 text-[14.5px] text-soft">{s.unit}</span>
            </>
          )}
        </span>
      </div>
      <p className="text-[14px] leading-snug text-soft">
        {s.reason}
        {!s.choices && ` From ${s.least} to ${s.most}.`}
        {s.last && ` ${s.last.byInitials}, ${day(s.last.at)}: ${s.last.reason}`}
      </p>
      <span className="flex items-start justify-end gap-2">
        {moved && (
          <Button kind="go" type="submit">
            Change
          </Button>
        )}
        {!moved && s.value !== s.default && <Button onClick={() => change(null)}>Default again</Button>}
      </span>
    </form>
  )
}

/** What a change does to open jobs, before it is kept. */
function Consequences({
  asking,
  by,
  fault,
  keep,
  leave,
}: {
  asking: { values: Values; what: string }
  by: string
  fault?: string
  keep: (reason: string) => Promise<void>
  leave: () => void
}) {
  const [reason, setReason] = useState('')
  const tried = useQuery({
    queryKey: ['settings-try', asking.values],
    retry: false,
    gcTime: 0,
    queryFn: ({ signal }) =>
      answer(http.POST('/api/settings/try', { body: { ...sent(asking.values), reason: '', by }, signal })),
  })
  return (
    <Dialog open onClose={leave} title={`Change: ${asking.what}`} wide>
      {tried.isPending && <p className="text-soft">Planning every open job with it</p>}
      {tried.error && (
        <p role="alert" className="text-plum">
          {told(tried.error)}
        </p>
      )}
      {tried.data && (
        <div className="scroll-thin max-h-[46vh] overflow-y-auto">
          <p className="mb-2 font-semibold">
            {tried.data.jobs.length === 0
              ? `Changes the steps of none of ${tried.data.looked} open jobs.`
              : `Changes ${tried.data.jobs.length} of ${tried.data.looked} open jobs. Signed steps that it changes are to be looked at again.`}
            {tried.data.more > 0 && ` ${tried.data.more} more were not looked at.`}
          </p>
          {tried.data.jobs.map((j) => (
            <div key={j.jobId} className="border-t border-rule/60 py-1.5">
              <b>
                {j.jobId} {j.title}
              </b>
              {j.changes.map((c) => (
                <p key={c} className="text-[14.5px] leading-snug">
                  {c}
                </p>
              ))}
            </div>
          ))}
        </div>
      )}
      <form
        className="mt-3"
        onSubmit={(e) => {
          e.preventDefault()
          void keep(reason)
        }}
      >
        <input
          value={reason}
          onChange={(e) => setReason(e.target.value)}
          aria-label="Why"
          placeholder="why"
          className="mb-3 w-full border border-rule bg-raised p-2"
        />
        {fault && (
          <p role="alert" className="mb-2 text-plum">
            {fault}
          </p>
        )}
        <div className="flex gap-2">
          <Button kind="go" type="submit" disabled={!reason.trim() || !tried.data}>
            Keep it
          </Button>
          <Button onClick={leave}>Leave it as it is</Button>
        </div>
      </form>
    </Dialog>
  )
}
