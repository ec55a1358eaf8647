import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useRef, useState } from 'react'
import { answer, asJson, fetched, http, ifMatch, type Schemas } from '../../api/client'
import { useKeys } from '../../app/keys'
import { useNavigate } from '../../app/router'
import { Head, Row, Section, Why } from '../../stations/Ledger'
import { Button } from '../../ui/Button'
import { fixed, mm } from '../../ui/format'
import { ErrorNotice, Loading } from '../../ui/Notice'
import { VerdictMark, verdictColour, verdictWords } from '../../ui/Verdict'
import { FeatureForm } from './FeatureForm'
import { PhotoView, type Tool } from './PhotoView'

type State = Schemas['TraceState']
type Feature = Schemas['PhotoFeature']
const tools: [Tool, string, string][] = [
  ['look', 'Move', 'm'],
  ['hole', 'Hole', 'h'],
  ['part', 'Part', 'p'],
]

/** One photo on the desk: marks, holes and parts on the left, what they say on the right. */
export function TraceDesk({ id }: { id: number }) {
  const client = useQueryClient()
  const path = { path: { id } }
  const trace = useQuery({
    queryKey: ['trace', id],
    queryFn: () => answer(http.GET('/api/traces/{id}', { params: path })),
  })
  const version = trace.data?.version ?? 0
  const calculate = (of: number) => ({
    queryKey: ['trace-calculate', id, of],
    queryFn: () => answer(http.GET('/api/traces/{id}/calculate', { params: path })),
  })
  const calculated = useQuery({
    ...calculate(version),
    enabled: version > 0,
    placeholderData: (old) => old,
  }).data
  const [tool, setTool] = useState<Tool>('look')
  const [selected, select] = useState<string>()
  const [fault, setFault] = useState<string>()
  const [kept, setKept] = useState<string>()
  const queue = useRef(Promise.resolve())
  const go = useNavigate()
  /** Changes go one after another, each on what the one before left. */
  const change = (make: (s: State) => State) => {
    queue.current = queue.current.then(async () => {
      const now = client.getQueryData<Schemas['TraceView']>(['trace', id])!
      try {
        const saved = await answer(
          http.PUT('/api/traces/{id}', { params: path, headers: ifMatch(now.version), body: make(now.state) }),
        )
        client.setQueryData(['trace', id], saved)
        setFault(undefined)
      } catch (e) {
        setFault((e as Error).message)
        await client.invalidateQueries({ queryKey: ['trace', id] })
      }
    })
  }
  const state = trace.data?.state
  const current = state?.features.find((f) => f.id === selected)
  const mark = selected?.startsWith('mark ') ? Number(selected.slice(5)) : undefined
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
    const snap = await answer(
      http.POST('/api/traces/{id}/snap', { params: path, body: { uPx: u, vPx: v, reachPx: 2.6 * perMm } }),
    )
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
  const mirror = async () => {
    try {
      const more = await answer(http.POST('/api/traces/{id}/mirror', { params: path, body: { featureId: selected! } }))
      change((s) => ({ ...s, features: [...s.features, ...more] }))
    } catch (e) {
      setFault((e as Error).message)
    }
  }
  const keep = async () => {
    try {
      // what was changed last may still be on its way
      await queue.current
      const last = await client.fetchQuery(
        calculate(client.getQueryData<Schemas['TraceView']>(['trace', id])?.version ?? version),
      )
      if (!last.document) return setFault(last.trouble ?? undefined)
      const made = await fetched<{ id: string }>('/api/boards', asJson(last.document))
      await client.invalidateQueries()
      setKept(made.id)
    } catch (e) {
      setFault((e as Error).message)
    }
  }
  const fit = calculated?.fit
  const best = calculated?.matches[0]
  const points = () =>
    calculated?.board
      ? [
          ...calculated.board.holes.map((h) => `hole ${h.x} ${h.y} ${h.diameterMm}`),
          ...calculated.board.parts.map((p) => `part ${p.x} ${p.y} ${p.heightMm} ${p.kind}`),
        ].join('\n')
      : ''
  const within = (name: string) => {
    const p = calculated?.trace.points.find((x) => x.id === name || x.id === `${name}\u00011`)
    return p ? `±${mm(2 * Math.sqrt((p.covMm2[0] + p.covMm2[2]) / 2))}` : ''
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
      <aside
        className="traveller-ledger scroll-thin min-h-0 overflow-y-auto border-l border-rule bg-card px-4 py-3.5"
        aria-label="Ledger"
        tabIndex={0}
      >
        {best && fit ? (
          <Head tone={verdictColour[best.verdict]} sub={`${best.blockName}: ${fit.reasons[0].text}`}>
            <span className="inline-flex items-center gap-2">
              <VerdictMark verdict={best.verdict} size={24} />
              {verdictWords[best.verdict]}
              {best.verdict === 'unproven' && `, ${Math.round(fit.chanceOfSeating * 100)} %`}
            </span>
          </Head>
        ) : (
          <Head
            tone={marks.length < 4 ? 'text-plum' : ''}
            sub={calculated?.trouble ?? (best ? `${best.blockName}: ${best.topReason}` : 'Click holes, draw parts.')}
          >
            {marks.length < 4
              ? `Only ${marks.length} marks found`
              : best
                ? verdictWords[best.verdict]
                : `${marks.length} of 12 marks found`}
          </Head>
        )}
        {fault && (
          <p role="alert" className="mt-1 border-l-4 border-plum pl-2 text-[14.5px] text-plum">
            {fault}
          </p>
        )}
        {!!calculated?.next.length && (
          <Section title="Measure next">
            {calculated.next.map((n) => (
              <Why key={n.id + n.what}>{n.text}</Why>
            ))}
          </Section>
        )}
        {current && (
          <FeatureForm
            feature={current}
            within={within(current.id)}
            taken={state.features.map((f) => f.id)}
            onChange={(f) => {
              update(f)
              select(f.id)
            }}
            onRemove={remove}
            onMirror={current.isHole ? mirror : undefined}
          />
        )}
        {mark && (
          <Section title={`Mark ${mark}`}>
            <p className="text-[14.5px] text-soft">Move it with the arrow keys, or place it anew.</p>
            <div className="mt-1 flex gap-2">
              <Button onClick={() => setTool('mark')}>Place by click</Button>
              <Button
                onClick={() => {
                  change((s) => ({ ...s, marks: s.marks.filter((m) => m.id !== mark) }))
                  select(undefined)
                }}
              >
                Leave it out
              </Button>
            </div>
          </Section>
        )}
        <Section title={`${state.features.length} holes and parts, 95 % within`}>
          {state.features.length === 0 && (
            <p className="text-[14.5px] text-soft">None yet. H for holes, P for parts.</p>
          )}
          {state.features.map((f) => (
            <button
              key={f.id}
              type="button"
              aria-pressed={f.id === selected}
              onClick={() => select(f.id)}
              className={`flex w-full border-b border-rule/60 py-[3px] text-left text-[14.5px] ${f.id === selected ? 'bg-copper-wash' : ''}`}
            >
              <span className="flex-1">
                {f.id}{' '}
                {f.isHole
                  ? f.diameterMm == null
                    ? 'hole, Ø to measure'
                    : `hole ${fixed(f.diameterMm, 1)} mm`
                  : f.heightMm == null
                    ? `${f.kind}, height to measure`
                    : `${f.kind} ${f.heightMm} mm`}
              </span>
              <span className="num text-[16px]">{within(f.id)} mm</span>
            </button>
          ))}
        </Section>
        {calculated && calculated.trace.rmsPx > 0 && (
          <Section title="The picture">
            <Row name="marks miss by" value={fixed(calculated.trace.rmsPx, 2)} unit="px" />
            <Row name="tilt of the camera" value={calculated.trace.tiltDeg.toFixed(0)} unit="°" />
            <Row
              name="lens bends"
              value={calculated.trace.lensK1 == null ? 'not seen' : fixed(calculated.trace.lensK1, 3)}
            />
            {calculated.sigmaMm != null && (
              <Row name="a hole is known to ± (1σ)" value={mm(calculated.sigmaMm)} unit="mm" />
            )}
          </Section>
        )}
        {calculated?.board && (
          <Section title="What becomes of it">
            <div className="flex flex-wrap gap-2">
              <Button kind="go" onClick={keep}>
                Keep as a board
              </Button>
              <Button onClick={() => go('/library/twin', { state: { points: points() } })}>Find its twin</Button>
            </div>
            {kept && (
              <p className="mt-1 text-cool">
                Kept.{' '}
                <a className="text-copper underline" href={`/library/boards/${kept}`}>
                  Open it
                </a>
              </p>
            )}
          </Section>
        )}
        {!!calculated?.matches.length && (
          <Section title="Blocks by verdict">
            {calculated.matches.slice(0, 6).map((m) => (
              <div
                key={m.blockId}
                className="grid grid-cols-[20px_1fr_auto] items-baseline gap-2 border-b border-rule/60 py-1.5"
              >
                <VerdictMark verdict={m.verdict} />
                <span>
                  <b>{m.blockName}</b>
                  <span className="block text-[13.5px] leading-tight text-soft">{m.topReason}</span>
                </span>
                <span className="num text-[16px]">{Math.round(m.chanceOfSeating * 100)} %</span>
              </div>
            ))}
          </Section>
        )}
      </aside>
    </div>
  )
}
