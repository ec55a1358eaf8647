import { useState } from 'react'
import type { Schemas } from '../../api/client'
import { useKeys } from '../../app/keys'
import { Button } from '../../ui/Button'
import { ErrorNotice, Loading } from '../../ui/Notice'
import { PhotoView, type Tool } from './PhotoView'
import { markOf, TraceLedger } from './TraceLedger'
import { useTrace } from './useTrace'

type Feature = Schemas['PhotoFeature']
const tools: [Tool, string, string][] = [
  ['look', 'Move', 'm'],
  ['hole', 'Hole', 'h'],
  ['part', 'Part', 'p'],
]

/** One photo on the desk: marks, holes and parts on the left, what they say on the right. */
export function TraceDesk({ id }: { id: number }) {
  const t = useTrace(id)
  const { trace, change } = t
  const [tool, setTool] = useState<Tool>('look')
  const [selected, select] = useState<string>()
  const state = trace.data?.state
  const current = state?.features.find((f) => f.id === selected)
  const mark = markOf(selected)
  const marks = state?.marks ?? []
  const perMm =
    marks.length > 1
      ? Math.max(
          ...marks.map((a) =>
            Math.max(
              ...marks
                .filter((b) => b !== a)
                .map((b) => Math.hypot(a.uPx - b.uPx, a.vPx - b.vPx) / Math.hypot(a.xMm - b.xMm, a.yMm - b.yMm)),
            ),
          ),
        )
      : 5
  const update = (f: Feature) => change((s) => ({ ...s, features: s.features.map((x) => (x.id === selected ? f : x)) }))
  const nudge = (du: number, dv: number) => {
    const step = 0.1 * perMm
    if (mark)
      change((s) => ({
        ...s,
        marks: s.marks.map((m) => (m.id === mark ? { ...m, uPx: m.uPx + du * step, vPx: m.vPx + dv * step } : m)),
      }))
    else if (current)
      change((s) => ({
        ...s,
        features: s.features.map((f) =>
          f.id === selected
            ? {
                ...f,
                uPx: f.uPx + du * step,
                vPx: f.vPx + dv * step,
                ...(f.isHole
                  ? {}
                  : { oppositeUPx: f.oppositeUPx! + du * step, oppositeVPx: f.oppositeVPx! + dv * step }),
              }
            : f,
        ),
      }))
  }
  const remove = () => {
    if (current) {
      change((s) => ({ ...s, features: s.features.filter((f) => f.id !== selected) }))
      select(undefined)
    }
  }
  useKeys({
    m: () => setTool('look'),
    Escape: () => {
      setTool('look')
      select(undefined)
    },
    h: () => setTool('hole'),
    p: () => setTool('part'),
    ArrowLeft: () => nudge(-1, 0),
    ArrowRight: () => nudge(1, 0),
    ArrowUp: () => nudge(0, -1),
    ArrowDown: () => nudge(0, 1),
    Delete: remove,
  })
  if (trace.error) return <ErrorNotice error={trace.error} again={() => trace.refetch()} />
  if (!trace.data || !state) return <Loading what="the photo" />
  const free = (letter: string) => {
    let n = 1
    while (state.features.some((f) => f.id === `${letter}${n}`)) n++
    return `${letter}${n}`
  }
  const click = async (u: number, v: number) => {
    if (tool === 'mark' && mark) {
      change((s) => ({ ...s, marks: s.marks.map((m) => (m.id === mark ? { ...m, uPx: u, vPx: v } : m)) }))
      setTool('look')
      return
    }
    if (tool !== 'hole') {
      select(undefined)
      return
    }
    const snap = await t.snap(u, v, 2.6 * perMm)
    const name = free('H')
    change((s) => ({
      ...s,
      features: [
        ...s.features,
        {
          id: name,
          isHole: true,
          uPx: snap.uPx,
          vPx: snap.vPx,
          oppositeUPx: null,
          oppositeVPx: null,
          kind: null,
          role: 'retention',
          diameterMm: snap.diameterMm ?? null,
          heightMm: null,
          heightTolMm: null,
        },
      ],
    }))
    select(name)
  }
  const draw = (a: [number, number], b: [number, number]) => {
    const die = !state.features.some((f) => f.kind === 'die')
    const name = die ? 'U1' : free('P')
    change((s) => ({
      ...s,
      features: [
        ...s.features,
        {
          id: name,
          isHole: false,
          uPx: a[0],
          vPx: a[1],
          oppositeUPx: b[0],
          oppositeVPx: b[1],
          kind: die ? 'die' : 'memory',
          role: null,
          diameterMm: null,
          heightMm: null,
          heightTolMm: null,
        },
      ],
    }))
    select(name)
  }
  return (
    <div className="traveller traveller-plain">
      <div className="traveller-mat flex min-h-0 min-w-0 flex-col">
        <div
          className="flex flex-wrap items-center gap-2 border-b border-rule bg-card px-3 py-2"
          role="toolbar"
          aria-label="Tools"
        >
          {tools.map(([t, name, key]) => (
            <Button
              key={t}
              kind={tool === t ? 'go' : 'plain'}
              aria-pressed={tool === t}
              keyName={key.toUpperCase()}
              onClick={() => setTool(t)}
            >
              {name}
            </Button>
          ))}
          <p className="ml-2 min-w-40 flex-1 truncate text-[14.5px] text-soft">
            {tool === 'hole'
              ? 'Click a hole; its rim draws the click in.'
              : tool === 'part'
                ? 'Draw over the top of a part, corner to corner. The die first.'
                : tool === 'mark'
                  ? `Click the middle of mark ${mark}.`
                  : selected
                    ? 'Arrow keys move it by 0.1 mm, Delete takes it out.'
                    : 'Drag to move, wheel to come nearer.'}
          </p>
          <label className="flex items-center gap-2 text-[14px]">
            <button
              type="button"
              className="min-h-9 rounded-[3px] border border-rule bg-raised px-3"
              onClick={() => change((s) => ({ ...s, quarterTurns: (s.quarterTurns + 1) % 4 }))}
            >
              turn by 90°
            </button>
          </label>
        </div>
        <PhotoView
          photo={`/api/traces/${id}/photo`}
          width={trace.data.widthPx}
          height={trace.data.heightPx}
          tool={tool}
          marks={marks}
          features={state.features}
          selected={selected}
          onSelect={select}
          onClick={(u, v) => void click(u, v)}
          onDraw={draw}
        />
      </div>
      <TraceLedger
        t={t}
        state={state}
        selected={selected}
        select={select}
        update={update}
        remove={remove}
        placeMark={() => setTool('mark')}
      />
    </div>
  )
}
