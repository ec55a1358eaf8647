import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { answer, http, type JobView, type Schemas, told } from '../../api/client'
import { Button } from '../../ui/Button'
import { clock, day, fixed } from '../../ui/format'
import { Row, Section } from '../Ledger'

type Line = Schemas['UsableLine']
const keyOf = (l: { kind: string; id: string }) => `${l.kind}/${l.id}`

/** What the job used: as planned, and what was taken out of the drawer for it. */
export function Used({ job, by }: { job: JobView; by: string }) {
  const path = { params: { path: { id: job.id } } }
  const used = useQuery({
    queryKey: ['used', job.id, job.version],
    queryFn: () => answer(http.GET('/api/jobs/{id}/used', path)),
  }).data
  const pads = Object.entries(
    Object.groupBy(
      job.plan.pads.pairs.flatMap((p) => p.pads),
      (p) => `${fixed(p.thicknessMm, 1)} mm ${p.material}`,
    ),
  )
  return (
    <Section title="Used">
      {pads.map(([name, list]) => (
        <Row key={name} name={`pads ${name}`} value={list!.length} />
      ))}
      {job.plan.paste.faces.map((f) => (
        <Row key={f.part} name={`paste on ${f.part}`} value={fixed(f.amount.massG, 2)} unit="g" />
      ))}
      {used && used.used.length > 0 && (
        <ul aria-label="Out of the drawer" className="mt-2">
          {used.used.map((u) => (
            <li key={u.at + keyOf(u)} className="border-b border-rule/60 py-1 text-[14.5px] leading-snug">
              <b>
                {Math.abs(u.change ?? 0)} {u.unit}
              </b>{' '}
              {u.name}, {u.what} by {u.by}
              <span className="text-soft">
                , {day(u.at)} {clock(u.at)}
                {u.left != null && `, ${u.left} ${u.unit} left`}
              </span>
            </li>
          ))}
        </ul>
      )}
      {used && used.lines.length > 0 && <Booking key={used.used.length} jobId={job.id} lines={used.lines} by={by} />}
    </Section>
  )
}

function Booking({ jobId, lines, by }: { jobId: number; lines: Line[]; by: string }) {
  const client = useQueryClient()
  const [open, setOpen] = useState(false)
  const [amounts, setAmounts] = useState<Record<string, string>>(() =>
    Object.fromEntries(lines.filter((l) => l.amount > 0).map((l) => [keyOf(l), String(l.amount)])),
  )
  const [fault, setFault] = useState<string>()
  const [busy, setBusy] = useState(false)
  const shown = lines.filter((l) => keyOf(l) in amounts)
  const number = (l: Line) => Number(amounts[keyOf(l)].replace(',', '.'))
  const book = async () => {
    // one press, one booking
    setBusy(true)
    try {
      await answer(
        http.POST('/api/jobs/{id}/used', {
          params: { path: { id: jobId } },
          body: {
            lines: shown.filter((l) => number(l) > 0).map((l) => ({ kind: l.kind, id: l.id, amount: number(l) })),
            by,
          },
        }),
      )
      setFault(undefined)
      await client.invalidateQueries({ queryKey: ['used', jobId] })
      void client.invalidateQueries({ queryKey: ['drawer'] })
    } catch (e) {
      setFault(told(e))
    } finally {
      setBusy(false)
    }
  }
  if (!open)
    return (
      <Button className="mt-2" onClick={() => setOpen(true)}>
        Take it out of the drawer
      </Button>
    )
  return (
    <fieldset className="mt-2 border border-rule p-2.5">
      <legend className="px-1 text-[14px] text-soft">Out of the drawer for this job</legend>
      {shown.map((l) => (
        <label key={keyOf(l)} className="flex min-h-9 items-center gap-2 border-b border-rule/60 text-[14.5px]">
          <span className="min-w-0 flex-1 leading-tight">
            {l.name}
            <span className="block text-[13px] text-soft">
              {l.lies} {l.unit} there
            </span>
          </span>
          <input
            aria-label={`Used of ${l.name}`}
            inputMode="decimal"
            className="num w-16 border border-rule bg-card px-1 py-1 text-right text-[17px]"
            value={amounts[keyOf(l)]}
            onChange={(e) => setAmounts({ ...amounts, [keyOf(l)]: e.target.value })}
          />
          <span className="w-8 text-soft">{l.unit}</span>
        </label>
      ))}
      <select
        aria-label="Another line of the drawer"
        className="mt-2 w-full border border-rule bg-raised px-2 py-1.5"
        value=""
        onChange={(e) => setAmounts({ ...amounts, [e.target.value]: '' })}
      >
        <option value="">Another line</option>
        {lines
          .filter((l) => !(keyOf(l) in amounts))
          .map((l) => (
            <option key={keyOf(l)} value={keyOf(l)}>
              {l.name}
            </option>
          ))}
      </select>
      {fault && (
        <p role="alert" className="mt-1 text-plum">
          {fault}
        </p>
      )}
      <div className="mt-2 flex gap-2">
        <Button kind="go" disabled={busy || !shown.some((l) => number(l) > 0)} onClick={() => void book()}>
          Take it out
        </Button>
        <Button onClick={() => setOpen(false)}>Leave it</Button>
      </div>
    </fieldset>
  )
}
