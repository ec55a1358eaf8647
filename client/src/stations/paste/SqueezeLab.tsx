import { useEffect, useRef, useState } from 'react'
import type { JobView, Schemas } from '../../api/client'
import { useDrawer } from '../../api/queries'
import { Button } from '../../ui/Button'
import { fixed } from '../../ui/format'
import type { Here } from '../here'
import { DrawPad, type Stroke } from './DrawPad'
import { FilmView } from './FilmView'
import { type Answer, simulate } from './simulate'

type Kind = 'spread' | 'dot' | 'line' | 'cross' | 'strokes'
const names: Record<Kind, string> = {
  spread: 'Spread',
  dot: 'Dot',
  line: 'Line',
  cross: 'Cross',
  strokes: 'Drawn by hand',
}
interface Run {
  share: number
  answer?: Answer
  fault?: string
  stop?: AbortController
}

/** Patterns side by side: what each leaves bare once the block is down. */
export function SqueezeLab({ job, here, onClose }: { job: JobView; here: Here; onClose: () => void }) {
  const face = here.faces[0]
  const part = here.board.parts.find((p) => p.id === face.part)!
  const pastes = useDrawer().data?.drawer.pastes ?? []
  const paste =
    pastes.find((p) => p.material.id === (job.pasteId ?? face.pasteId)) ??
    pastes.find((p) => p.id === face.pasteId) ??
    pastes[0]
  const [tilt, setTilt] = useState(0)
  const [extra, setExtra] = useState(face.amount.margin)
  const [strokes, setStrokes] = useState<Stroke[]>([])
  const [runs, setRuns] = useState<Partial<Record<Kind, Run>>>({})
  const live = useRef(runs)
  live.current = runs
  const set = (k: Kind, r: Run) => setRuns((all) => ({ ...all, [k]: r }))
  const start = async (kind: Kind) => {
    live.current[kind]?.stop?.abort()
    const stop = new AbortController()
    set(kind, { share: 0, stop })
    const tiltDeg = here.seating?.tiltDeg ?? [0, 0]
    try {
      const answer = await simulate(
        {
          surface: {
            kind: part.kind,
            widthMm: part.widthMm,
            depthMm: part.depthMm,
            ...(part.outline ? { outline: part.outline } : {}),
          },
          crownMm: face.crownMm,
          paste: paste.material,
          clampN: face.clampN,
          margin: extra,
          beadMm: face.amount.beadMm,
          cells: 64,
          powerW: part.dissipationW,
          pattern: { kind, ...(kind === 'strokes' ? { strokes } : {}) },
          ...(tilt ? { tiltDeg: tiltDeg.map((t) => t * tilt) } : {}),
        },
        (share) => set(kind, { share, stop }),
        stop.signal,
      )
      set(kind, { share: 1, answer })
    } catch (e) {
      set(kind, { share: 0, fault: stop.signal.aborted ? 'stopped' : (e as Error).message })
    }
  }
  useEffect(
    () => () => {
      for (const r of Object.values(live.current)) r?.stop?.abort()
    },
    [],
  )
  // biome-ignore lint/correctness/useExhaustiveDependencies: another paste, tilt or thickness squeezes anew
  useEffect(() => {
    if (paste) for (const k of ['spread', 'dot', 'line', 'cross'] as const) void start(k)
  }, [paste?.id, tilt, extra])
  const width = 184
  const height = Math.round((width * part.depthMm) / part.widthMm)
  const done = Object.entries(runs).filter(([, r]) => r?.answer) as [Kind, Run][]
  const best = done.length
    ? done.reduce((a, b) => ((b[1].answer!.coverage ?? 0) > (a[1].answer!.coverage ?? 0) + 0.001 ? b : a))[0]
    : undefined
  return (
    <div className="scroll-thin min-h-0 flex-1 overflow-y-auto bg-mat p-5">
      <div className="mb-4 flex flex-wrap items-center gap-x-6 gap-y-2">
        <h2 className="w-full text-[25px] font-bold">
          What each pattern leaves bare on {part.id}, {face.clampN.toFixed(0)} N
        </h2>
        <label className="text-[15px]">
          extra over the bare film{' '}
          <select
            value={extra}
            onChange={(e) => setExtra(Number(e.target.value))}
            className="border border-rule bg-raised px-1 py-1"
          >
            {[...new Set([0, face.amount.margin / 2, face.amount.margin, face.amount.margin * 2])].map((v) => (
              <option key={v} value={v}>
                {Math.round(v * 100)} %
              </option>
            ))}
          </select>
        </label>
        <label className="text-[15px]">
          faces{' '}
          <select
            value={tilt}
            onChange={(e) => setTilt(Number(e.target.value))}
            className="border border-rule bg-raised px-1 py-1"
          >
            <option value={0}>parallel</option>
            <option value={1}>tilted as seated</option>
          </select>
        </label>
        <span className="flex-1" />
        <Button onClick={onClose}>Back to the mat</Button>
      </div>
      <div className="flex flex-wrap gap-4">
        {(['spread', 'dot', 'line', 'cross'] as const).map((k) => (
          <Card key={k} title={names[k]} run={runs[k]} best={best === k}>
            <Shown run={runs[k]} width={width} height={height} part={part} label={names[k]} />
          </Card>
        ))}
        <Card title={names.strokes} run={runs.strokes} best={best === 'strokes'}>
          {runs.strokes?.answer ? (
            <Shown run={runs.strokes} width={width} height={height} part={part} label={names.strokes} />
          ) : (
            <DrawPad
              width={width}
              height={height}
              widthMm={part.widthMm}
              depthMm={part.depthMm}
              beadMm={face.amount.beadMm}
              strokes={strokes}
              onChange={setStrokes}
            />
          )}
          <div className="mt-2 flex gap-2">
            {runs.strokes?.answer ? (
              <Button onClick={() => setRuns(({ strokes: _, ...rest }) => rest)}>Draw on</Button>
            ) : (
              <>
                <Button kind="go" disabled={strokes.length === 0} onClick={() => void start('strokes')}>
                  Press it
                </Button>
                <Button disabled={strokes.length === 0} onClick={() => setStrokes([])}>
                  Wipe
                </Button>
              </>
            )}
          </div>
        </Card>
      </div>
      <p className="mt-5 max-w-3xl text-[14.5px] text-soft">
        Same amount of {paste?.material.id} in every pattern. The plate sinks until the film carries the load or the
        paste no longer yields. Bare silicon costs more under a hot spot than the mean given here.
      </p>
    </div>
  )
}

function Card({ title, run, best, children }: { title: string; run?: Run; best: boolean; children: React.ReactNode }) {
  const a = run?.answer
  return (
    <section className={`w-[210px] bg-card p-3 ${best ? 'outline-3 outline-cool' : ''}`} aria-label={title}>
      <h3 className="flex text-[17px] font-bold">
        <span className="flex-1">{title}</span>
        {best && <span className="text-[14px] text-cool">covers most</span>}
      </h3>
      <div className="mt-2">{children}</div>
      {run && !a && !run.fault && (
        <div className="mt-2 flex items-center gap-2">
          <progress
            value={run.share}
            max={1}
            className="h-3 min-w-0 flex-1 accent-copper"
            aria-label={`${title} under way`}
          />
          <Button onClick={() => run.stop?.abort()}>Stop</Button>
        </div>
      )}
      {run?.fault && <p className="mt-2 text-[14.5px] text-plum">{run.fault}</p>}
      {a && (
        <dl className="mt-2 text-[14.5px]">
          <Line
            name="covered"
            value={`${fixed((a.coverage ?? 0) * 100, 1)} %`}
            tone={(a.coverage ?? 0) > 0.995 ? 'text-cool' : 'text-plum'}
          />
          <Line name="film" value={`${(a.finalBondLineUm ?? 0).toFixed(0)} µm`} />
          <Line
            name="bare"
            value={
              a.bare?.length
                ? a.bare
                    .slice(0, 2)
                    .map((b) => b.where)
                    .join(', ')
                : 'nothing'
            }
          />
          <Line
            name="over the edge"
            value={
              a.spill && a.spill.share > 0.005
                ? `${(a.spill.share * 100).toFixed(0)} %, ${a.spill.edges[0]?.where}`
                : 'nothing'
            }
          />
          {a.costK != null && <Line name="bare costs" value={a.costK < 0.05 ? 'nothing' : `${fixed(a.costK, 1)} K`} />}
        </dl>
      )}
    </section>
  )
}

const Line = ({ name, value, tone = '' }: { name: string; value: string; tone?: string }) => (
  <div className={`flex gap-2 border-b border-rule/60 py-0.5 ${tone}`}>
    <dt className="flex-1">{name}</dt>
    <dd className="num text-right text-[16px]">{value}</dd>
  </div>
)

function Shown({
  run,
  width,
  height,
  part,
  label,
}: {
  run?: Run
  width: number
  height: number
  part: Schemas['Part']
  label: string
}) {
  if (!run?.answer?.frames)
    return <div style={{ width, height, background: 'var(--silicon)' }} className="border-2 border-ink" />
  return (
    <FilmView
      frames={run.answer.frames}
      width={width}
      height={height}
      widthMm={part.widthMm}
      depthMm={part.depthMm}
      label={`${label} pressed`}
    />
  )
}
