import { useEffect, useRef, useState } from 'react'
import type { JobView, Schemas } from '../../api/client'
import { asked, type Here } from '../here'

export type Verdict = Schemas['LogVerdict']
/** A channel with its name and unit, as the shop tells them. */
export interface Channel {
  channel: Schemas['Channel']
  name: string
  unit: string
}

/** A live log: what came so far, and what it says by now. */
export interface Run {
  name: string
  /** Bench seconds in a second, of a stand-in; nothing for a device. */
  simulated?: number
  /** The number of the bench that has something to find. */
  fault?: number
  channels: Channel[]
  times: number[]
  values: (number | null)[][]
  verdict?: Verdict
  running: boolean
}

type Row = { timeS: number; values: (number | null)[] }

/** Starts, watches and stops a run on the bench; rows are drawn a few times a second, whatever the logger sends. */
export function useBench(job: JobView, here: Here) {
  const [run, set] = useState<Run>()
  const source = useRef<EventSource>(undefined)
  const stop = () => {
    source.current?.close()
    source.current = undefined
    set((r) => r && { ...r, running: false })
  }
  useEffect(() => () => source.current?.close(), [])
  const start = (fault?: number, two?: boolean) => {
    source.current?.close()
    const { pair, board } = asked(here)
    const query = new URLSearchParams({
      ...(pair ? { pair } : {}),
      board,
      ...(fault === undefined ? {} : { fault: String(fault) }),
      ...(two ? { two: 'true' } : {}),
    })
    const s = new EventSource(`/api/jobs/${job.id}/bench-run?${query}`)
    source.current = s
    const data = <T>(e: Event) => JSON.parse((e as MessageEvent<string>).data) as T
    s.addEventListener('logger', (e) => {
      const l = data<{ name: string; channels: Channel[]; simulated?: number | null }>(e)
      set({
        name: l.name,
        simulated: l.simulated ?? undefined,
        fault,
        channels: l.channels,
        times: [],
        values: l.channels.map(() => []),
        running: true,
      })
    })
    s.addEventListener('rows', (e) => {
      const { rows } = data<{ rows: Row[] }>(e)
      set(
        (r) =>
          r && {
            ...r,
            times: [...r.times, ...rows.map((x) => x.timeS)],
            values: r.values.map((v, i) => [...v, ...rows.map((x) => x.values[i] ?? null)]),
          },
      )
    })
    s.addEventListener('verdict', (e) => {
      const verdict = data<Verdict>(e)
      set((r) => r && { ...r, verdict })
    })
    // the stream ends by itself or the shop is gone: a new run is asked for, never one on top of the old
    s.onerror = stop
  }
  const clear = () => {
    stop()
    set(undefined)
  }
  return { run, start, stop, clear }
}

/** The run as a table that any program reads, the shop's own intake too. */
export function runAsCsv(run: Run) {
  const head = ['time (s)', ...run.channels.map((c) => `${c.name} (${c.unit})`)]
  const rows = run.times.map((t, i) => [t, ...run.values.map((v) => v[i] ?? '')].join(','))
  return [head.join(','), ...rows].join('\n')
}
