import { useRef, useState } from 'react'
import type { Schemas } from '../../api/client'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { clock, day } from '../../ui/format'
import { Section } from '../Ledger'
import type { RoomProps } from '../room'
import type { ProveOwn } from './room'
import { SourceMark } from './SourceMark'
import { Strike } from './Strike'

/** Logs: run the bench, find a fault, drop a file, look at what is kept. */
export function LogSection({ job, s, own, here }: RoomProps<ProveOwn>) {
  const file = useRef<HTMLInputElement>(null)
  const { logs } = own
  const ready = !!here.seating?.dies.length && here.block?.flow != null
  return (
    <Section title="Logs">
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => logs.bench.start()} disabled={!ready}>
          Run the bench
        </Button>
        <Button onClick={() => logs.bench.start(Math.floor(Math.random() * 1e6))} disabled={!ready}>
          A bench with a fault
        </Button>
        <Button onClick={() => logs.bench.start(Math.floor(Math.random() * 1e6), true)} disabled={!ready}>
          With two faults
        </Button>
        <Button onClick={() => file.current?.click()}>Drop a CSV</Button>
        <input
          ref={file}
          type="file"
          accept=".csv,.txt,.tsv,.xlsx,text/csv,text/plain"
          className="hidden"
          aria-label="Log file"
          onChange={(e) => {
            const f = e.target.files?.[0]
            e.target.value = ''
            if (f) void logs.drop(f, s.by)
          }}
        />
      </div>
      {logs.fault && (
        <p role="alert" className="mt-1 text-[14.5px] text-plum">
          {logs.fault}
        </p>
      )}
      <ul className="mt-1.5">
        {logs.kept.map((l) => (
          <li key={l.id} className="flex items-baseline gap-2 border-b border-rule/60 py-1 text-[14.5px]">
            <button
              type="button"
              aria-pressed={logs.shown === l.id}
              className="min-w-0 flex-1 truncate text-left underline underline-offset-3"
              onClick={() => logs.show(logs.shown === l.id ? undefined : l.id)}
            >
              {l.name}
            </button>
            {l.source?.kind === 'simulated' && <SourceMark source={l.source} />}
            <span className="num">{Math.round(l.durationS / 60)} min</span>
            <span className="text-soft">
              {l.byInitials} {day(l.at)} {clock(l.at)}
            </span>
            <Strike
              job={job}
              s={s}
              what={`log ${l.name}`}
              strike={() => logs.strike(l.id, s.by)}
              correction={{ log: l.id }}
            />
          </li>
        ))}
      </ul>
      {logs.asking && <Columns key={logs.asking.name} own={own} by={s.by} asking={logs.asking} />}
    </Section>
  )
}

/** What each column is: asked once of a logger, then known by its header. */
function Columns({
  own,
  by,
  asking,
}: {
  own: ProveOwn
  by: string
  asking: { name: string; look: Schemas['LogLook'] }
}) {
  const [told, tell] = useState<Record<number, { role: string; unit: string }>>(
    Object.fromEntries(
      asking.look.columns
        .filter((c) => c.guess)
        .map((c) => [c.index, { role: c.guess!.channel ?? 'time', unit: c.guess!.unit }]),
    ),
  )
  const roles = asking.look.roles.map((r) => ({ key: r.channel ?? 'time', ...r }))
  const columns = Object.entries(told).map(([index, t]) => ({
    index: Number(index),
    channel: t.role === 'time' ? null : (t.role as Schemas['Channel']),
    unit: t.unit as Schemas['LogUnit'],
  }))
  return (
    <Dialog open onClose={own.logs.forget} title={`What the columns of ${asking.name} are`} wide>
      <p className="mb-2 text-soft">
        {asking.look.rows} rows. Told once, this logger is known by its header from then on.
      </p>
      <div className="scroll-thin max-h-[52vh] overflow-y-auto">
        <table className="w-full">
          <thead>
            <tr className="text-left text-[14px] text-soft">
              <th className="font-normal">column</th>
              <th className="font-normal">first cells</th>
              <th className="font-normal">is</th>
              <th className="font-normal">in</th>
            </tr>
          </thead>
          <tbody>
            {asking.look.columns.map((c) => {
              const t = told[c.index]
              const units = roles.find((r) => r.key === t?.role)?.units ?? []
              return (
                <tr key={c.index} className="border-t border-rule">
                  <th scope="row" className="py-1.5 pr-3 text-left text-[15.5px]">
                    {c.header || `column ${c.index + 1}`}
                  </th>
                  <td className="num pr-3 text-soft">{c.samples.slice(0, 3).join('  ')}</td>
                  <td className="pr-2">
                    <select
                      aria-label={`What ${c.header} is`}
                      className="min-h-9 border border-rule bg-raised px-1.5"
                      value={t?.role ?? ''}
                      onChange={(e) => {
                        const { [c.index]: _, ...rest } = told
                        const role = roles.find((r) => r.key === e.target.value)
                        tell(role ? { ...rest, [c.index]: { role: role.key, unit: role.units[0] } } : rest)
                      }}
                    >
                      <option value="">nothing of these</option>
                      {roles.map(({ key, name }) => (
                        <option key={key} value={key}>
                          {name}
                        </option>
                      ))}
                    </select>
                  </td>
                  <td>
                    {units.length > 0 && (
                      <select
                        aria-label={`Unit of ${c.header}`}
                        className="min-h-9 border border-rule bg-raised px-1.5"
                        value={t.unit}
                        onChange={(e) => tell({ ...told, [c.index]: { ...t, unit: e.target.value } })}
                      >
                        {units.map((u) => (
                          <option key={u}>{u}</option>
                        ))}
                      </select>
                    )}
                  </td>
                </tr>
              )
            })}
          </tbody>
        </table>
      </div>
      {own.logs.fault && (
        <p role="alert" className="mt-2 text-plum">
          {own.logs.fault}
        </p>
      )}
      <div className="mt-3 flex gap-2">
        <Button kind="go" onClick={() => own.logs.tell(columns, by)}>
          Read the log
        </Button>
        <Button onClick={own.logs.forget}>Leave it</Button>
      </div>
    </Dialog>
  )
}
