import type { Schemas } from '../../api/client'
import { useNavigate } from '../../app/router'
import { Head, Row, Section, Why } from '../../stations/Ledger'
import { Button } from '../../ui/Button'
import { fixed, mm } from '../../ui/format'
import { VerdictMark, verdictColour, verdictWords } from '../../ui/Verdict'
import { FeatureForm } from './FeatureForm'
import type { TraceState, useTrace } from './useTrace'

/** The number of a mark that is chosen. */
export const markOf = (selected?: string) => (selected?.startsWith('mark ') ? Number(selected.slice(5)) : undefined)

/** What a traced photo says: verdict, what to measure next, the feature at hand, and what becomes of it. */
export function TraceLedger({
  t,
  state,
  selected,
  select,
  update,
  remove,
  placeMark,
}: {
  t: ReturnType<typeof useTrace>
  state: TraceState
  selected?: string
  select: (id?: string) => void
  update: (f: Schemas['PhotoFeature']) => void
  remove: () => void
  placeMark: () => void
}) {
  const { calculated, fault, kept, change, keep, mirror } = t
  const go = useNavigate()
  const { marks } = state
  const current = state.features.find((f) => f.id === selected)
  const mark = markOf(selected)
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
          onMirror={current.isHole ? () => mirror(current.id) : undefined}
        />
      )}
      {mark && (
        <Section title={`Mark ${mark}`}>
          <p className="text-[14.5px] text-soft">Move it with the arrow keys, or place it anew.</p>
          <div className="mt-1 flex gap-2">
            <Button onClick={placeMark}>Place by click</Button>
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
        {state.features.length === 0 && <p className="text-[14.5px] text-soft">None yet. H for holes, P for parts.</p>}
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
  )
}
