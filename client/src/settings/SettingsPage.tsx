import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useRef, useState } from 'react'
import { answer, http, type Schemas, told } from '../api/client'
import { useInitials } from '../app/settings'
import { Button } from '../ui/Button'
import { clock, day } from '../ui/format'
import { ErrorNotice, Loading } from '../ui/Notice'
import { BackupSection } from './BackupSection'
import { CalendarSection } from './CalendarSection'
import { Consequences, sent, type Values } from './Consequences'
import { DevicesSection } from './DevicesSection'
import { EventsSection } from './EventsSection'
import { ShopSection } from './ShopSection'
import { SignersSection } from './SignersSection'

type Setting = Schemas['SettingView']

/** A value as it is read: its name where it is one of a few. */
const named = (s: Setting | undefined, value: number) => s?.choices?.[value] ?? value

const howMany = (n: number) => (n === 1 ? '1 setting' : `${n} settings`)

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
      else ask({ values, what: `${howMany(Object.keys(values).length)} out of ${f.name}` })
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
        <Button onClick={() => file.current?.click()}>Import</Button>
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
          <ShopSection />
          <SignersSection />
          <DevicesSection />
          <EventsSection />
          <CalendarSection />
          <BackupSection />
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
      {found.length === 0 && <p className="text-[18px] text-soft">No matching settings.</p>}
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
        {!moved && s.value !== s.default && <Button onClick={() => change(null)}>Reset to default</Button>}
      </span>
    </form>
  )
}
