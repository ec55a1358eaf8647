import { lazy, Suspense } from 'react'
import { Button } from '../../ui/Button'
import type { RoomProps } from '../room'
import type { ProveOwn } from './room'

const LogPlot = lazy(() => import('./LogPlot').then((m) => ({ default: m.LogPlot })))

/** Under the mat: a log as it comes, or one that is kept, with what it says and what can be done with it. */
export function LogPanel({ own, s }: RoomProps<ProveOwn>) {
  const { bench, log } = own.logs
  const { run } = bench
  if (!run && !log) return null
  const verdict = run ? run.verdict : log!.verdict
  const temperatures = run
    ? run.channels.map((c, i) => ({ ...c, values: run.values[i] })).filter((c) => c.unit === '°C')
    : log!.drawn.series.filter((x) => x.unit === '°C').map((x) => ({ ...x, values: x.values as (number | null)[] }))
  const steady = verdict?.steadyFromS != null
  return (
    <section aria-label="Log" className="border-t border-rule bg-card px-4 pb-2 pt-2">
      <div className="flex flex-wrap items-center gap-2 pb-1">
        <p className="min-w-0 flex-1 text-[15.5px] leading-tight" aria-live="polite">
          <b>{run ? run.name : log!.log.name}</b>
          {run?.simulated && <span className="text-soft">, {run.simulated} times as fast</span>}
          {verdict && <span className={`ml-2 ${steady ? 'text-cool' : ''}`}>{verdict.text}</span>}
        </p>
        {run?.running && <Button onClick={bench.stop}>Stop</Button>}
        {run && (
          <Button
            kind={steady ? 'go' : 'plain'}
            disabled={run.times.length < 10}
            onClick={() => own.logs.keepRun(s.by)}
          >
            Keep the log
          </Button>
        )}
        {run && !run.running && <Button onClick={bench.clear}>Throw away</Button>}
        {!run && log && (
          <>
            <Button onClick={() => own.logs.takeReading(log.log.id, 'before', s.by)} disabled={!steady}>
              Take as before
            </Button>
            <Button kind="go" onClick={() => own.logs.takeReading(log.log.id, 'after', s.by)} disabled={!steady}>
              Take as after
            </Button>
            <Button onClick={() => own.logs.show(undefined)}>Close</Button>
          </>
        )}
      </div>
      <div className="h-[150px]">
        <Suspense fallback={null}>
          <LogPlot
            times={run ? run.times : (log!.drawn.timesS as number[])}
            lines={temperatures}
            steadyFromS={verdict?.steadyFromS}
          />
        </Suspense>
      </div>
      {own.logs.fault && (
        <p role="alert" className="text-[14.5px] text-plum">
          {own.logs.fault}
        </p>
      )}
    </section>
  )
}
