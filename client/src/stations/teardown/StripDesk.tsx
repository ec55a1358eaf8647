import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { answer, asJson, type Face, fetched, http, ifMatch, type JobView, type Schemas, told } from '../../api/client'
import { useTradeWords } from '../../api/queries'
import { Button } from '../../ui/Button'
import type { Here } from '../here'
import { Section, Why } from '../Ledger'
import type { Steps } from '../useSteps'
import { StripFiles, StripList } from './StripFiles'

export interface Strip {
  on: boolean
  places: [number, number][]
  set: (s: { on: boolean; places: [number, number][] }) => void
  face: Face
}
type Kind = Schemas['TeardownAction']
const kinds: [Kind, string][] = [
  ['unscrew', 'screws'],
  ['unplug', 'lead'],
  ['lift', 'piece'],
]
/** Notes what comes off a card that nobody has described, or describes it beforehand; the record is the next plan. */
export function StripDesk({ job, here, s, strip }: { job: JobView; here: Here; s: Steps; strip: Strip }) {
  const client = useQueryClient()
  const [kind, setKind] = useState<Kind>('unscrew')
  const [said, setSaid] = useState<Record<string, string>>({
    driver: 'PH1',
    thread: 'M2.5',
    holds: 'cooler',
    latch: 'squeeze',
    bond: 'paste',
  })
  const [fault, setFault] = useState<string>()
  const words = useTradeWords().data
  const path = { id: job.id }
  const version = job.sheets.versions.assembly ?? 0
  const assembly = here.assembly
  const reload = () => client.invalidateQueries({ queryKey: ['job', job.id] })
  const guard = async (run: () => Promise<unknown>) => {
    try {
      setFault(undefined)
      await run()
    } catch (e) {
      setFault(told(e))
    }
    await reload()
  }
  const number = (t?: string) => {
    const v = Number((t ?? '').replace(',', '.'))
    return t?.trim() && Number.isFinite(v) ? v : undefined
  }
  const note = (done: boolean) =>
    guard(async () => {
      const body = {
        note: {
          action: kind,
          holds: said.holds?.trim() ?? '',
          face: strip.face,
          name: said.name?.trim() || undefined,
          ...(kind === 'unscrew'
            ? {
                driver: said.driver,
                thread: said.thread,
                lengthMm: number(said.length),
                places: strip.places,
                springLoaded: said.spring === 'yes',
              }
            : kind === 'unplug'
              ? { latch: said.latch, slackMm: number(said.slack), at: strip.places[0] }
              : { bond: said.bond }),
        },
        done,
        by: s.by,
      }
      // what is clicked or typed until the answer comes belongs to the next one
      const [{ places }, { name }] = [strip, said]
      strip.set({ on: true, places: [] })
      setSaid((x) => ({ ...x, name: '' }))
      await fetched(`/api/jobs/${job.id}/strip`, asJson(JSON.stringify(body), ifMatch(version))).catch((e) => {
        strip.set({ on: true, places })
        setSaid((x) => ({ ...x, name: x.name || (name ?? '') }))
        throw e
      })
    })
  const put = (next: Schemas['Assembly']) =>
    void guard(() =>
      answer(
        http.PUT('/api/jobs/{id}/assembly', {
          params: { path },
          headers: ifMatch(version),
          body: { assembly: next, by: s.by },
        }),
      ),
    )
  const field = (k: string, label: string, numeric?: boolean) => (
    <label className="block text-[13px] text-soft">
      {label}
      <input
        value={said[k] ?? ''}
        inputMode={numeric ? 'decimal' : undefined}
        list={k === 'holds' ? 'pieces' : undefined}
        onChange={(e) => setSaid({ ...said, [k]: e.target.value })}
        className="mt-0.5 block w-full border border-rule bg-raised px-2 py-1 text-[16px] text-ink"
      />
    </label>
  )
  const choice = (k: string, label: string, of: string[]) => (
    <label className="block text-[13px] text-soft">
      {label}
      <select
        value={said[k]}
        onChange={(e) => setSaid({ ...said, [k]: e.target.value })}
        className="mt-0.5 block w-full border border-rule bg-raised px-1 py-1 text-[16px] text-ink"
      >
        {of.map((o) => (
          <option key={o}>{o}</option>
        ))}
      </select>
    </label>
  )
  if (!strip.on)
    return (
      <div className="mt-2">
        <Button onClick={() => strip.set({ on: true, places: [] })}>Note what comes off</Button>
      </div>
    )
  const open = (id: string) => !s.steps.some((x) => x.targets.includes(id) && s.signed.has(x.id))
  return (
    <Section title="Note what comes off">
      <div role="group" aria-label="Note what comes off">
        <div className="flex gap-1">
          {kinds.map(([k, name]) => (
            <button
              key={k}
              type="button"
              aria-pressed={k === kind}
              onClick={() => setKind(k)}
              className={`flex-1 rounded-[3px] border px-2 py-1.5 ${k === kind ? 'border-copper bg-copper-wash font-semibold' : 'border-rule bg-raised'}`}
            >
              {name}
            </button>
          ))}
        </div>
        <div className="mt-2 grid grid-cols-2 gap-2">
          {kind === 'unscrew' && (
            <>
              {choice('driver', 'driver', words?.drivers ?? [])}
              {choice('thread', 'thread', words?.threads ?? [])}
              {field('length', 'length, mm', true)}
              {field('holds', 'they held the')}
              {choice('spring', 'sprung', ['no', 'yes'])}
            </>
          )}
          {kind === 'unplug' && (
            <>
              {field('name', 'lead')}
              {field('holds', 'it tied down the')}
              {choice('latch', 'latch', words?.latches ?? [])}
              {field('slack', 'slack, mm', true)}
            </>
          )}
          {kind === 'lift' && (
            <>
              {field('holds', 'piece')}
              {field('name', 'its name')}
              {choice('bond', 'was stuck by', words?.bonds ?? [])}
            </>
          )}
          {kind !== 'lift' && (
            <label className="block text-[13px] text-soft">
              add a place at hole
              <select
                value=""
                aria-label="Add a place at hole"
                onChange={(e) => {
                  const h = here.board.holes.find((x) => x.id === e.target.value)
                  if (h) strip.set({ on: true, places: [...strip.places, [h.x, h.y]] })
                }}
                className="mt-0.5 block w-full border border-rule bg-raised px-1 py-1 text-[16px] text-ink"
              >
                <option value="">choose</option>
                {here.board.holes.map((h) => (
                  <option key={h.id}>{h.id}</option>
                ))}
              </select>
            </label>
          )}
          <datalist id="pieces">
            {(assembly?.pieces ?? []).map((p) => (
              <option key={p.id} value={p.id} />
            ))}
          </datalist>
        </div>
        {kind !== 'lift' && (
          <p className="mt-1 text-[14px] text-soft">
            {strip.places.length === 0 ? (
              `Click ${kind === 'unscrew' ? 'each screw' : 'where it leaves the board'} on the mat.`
            ) : (
              <>
                {strip.places.length} {strip.places.length === 1 ? 'place' : 'places'} on the {strip.face}.{' '}
                <button
                  type="button"
                  className="text-copper underline"
                  onClick={() => strip.set({ on: true, places: strip.places.slice(0, -1) })}
                >
                  take the last back
                </button>
              </>
            )}
          </p>
        )}
        <div className="mt-2 flex flex-wrap gap-2">
          <Button kind="go" onClick={() => void note(true)}>
            {kind === 'unscrew'
              ? `${strip.places.length} out, in the tray`
              : kind === 'unplug'
                ? 'Unplugged and marked'
                : 'Lifted'}
          </Button>
          <Button onClick={() => void note(false)}>Describe only</Button>
        </div>
        {fault && (
          <p role="alert" className="mt-1.5 border-l-4 border-plum pl-2 text-plum">
            {fault}
          </p>
        )}
        {assembly && <StripList assembly={assembly} open={open} put={put} />}
        <StripFiles
          job={job}
          by={s.by}
          version={version}
          guard={guard}
          put={put}
          refuse={setFault}
          close={() => strip.set({ on: false, places: [] })}
        />
        <Why>
          What is found after a lift lies under that piece; four screws in retention holes are the die ring. Kept with
          the board, this record is the plan of the next strip-down.
        </Why>
      </div>
    </Section>
  )
}
