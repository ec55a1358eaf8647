import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { answer, http, type Schemas } from '../../api/client'
import { useDrawer } from '../../api/queries'
import { fixed } from '../../ui/format'
import { asked } from '../here'
import { Head, Row, Section, Why } from '../Ledger'
import type { RoomProps } from '../room'
import { StepList } from '../StepList'

/** How much, in the hand's terms, from which tube. */
export function PasteLedger({ job, here, s }: RoomProps) {
  const pastes = useDrawer().data?.drawer.pastes ?? []
  const costs =
    useQuery({
      queryKey: ['pastes', job.id, job.version, job.sheets.versions, here.pairKey, here.boardKey],
      enabled: !!here.seating?.dies.length && here.block?.flow != null,
      retry: false,
      placeholderData: keepPreviousData,
      queryFn: () =>
        answer(http.GET('/api/jobs/{id}/pastes', { params: { path: { id: job.id }, query: asked(here) } })),
    }).data ?? []
  const faces = here.faces
  if (faces.length === 0)
    return (
      <Head tone="text-plum" sub="Paste needs a block that rests on a die, and a tube in the drawer.">
        No paste calculated
      </Head>
    )
  const grams = faces.reduce((n, f) => n + f.amount.massG, 0)
  const now = job.pasteId ?? pastes.find((p) => p.id === faces[0]?.pasteId)?.material.id
  return (
    <>
      <Head tone={faces.some((f) => f.refusals.length) ? 'text-plum' : ''} sub={faces[0].why}>
        {faces.some((f) => f.refusals.length) ? 'Not this one here' : `${fixed(grams, 2)} g, ${faces[0].method}`}
      </Head>
      {faces.flatMap((f) => [
        ...f.refusals.map((t) => (
          <Why key={f.part + t} tone="text-plum">
            {f.part}: {t}
          </Why>
        )),
      ])}
      {[...new Set(faces.flatMap((f) => f.cautions))].map((t) => (
        <Why key={t} tone="text-amber">
          {t}
        </Why>
      ))}
      {faces.map((f) => (
        <Section key={f.part} title={`${f.part} under ${f.clampN.toFixed(0)} N`}>
          <Row name="film left at home" value={f.amount.bondLineUm.toFixed(0)} unit="µm" />
          <Row
            name="face"
            value={
              { 'bare-die': 'bare silicon', lid: 'lid', 'large-plate': 'large lid', 'bridge-chip': 'bridge chip' }[
                f.surface
              ]
            }
          />
          {f.liquidPerFaceUl != null && (
            <Row name="on each of the two faces" value={f.liquidPerFaceUl.toFixed(0)} unit="µL" />
          )}
          <Row name="volume" value={(f.amount.volumeMl * 1000).toFixed(0)} unit="µL" />
          <Row name="plunger" value={fixed(f.amount.plungerMm, 1)} unit="mm" />
          <Row name="as one dot, across" value={fixed(f.amount.dotDiameterMm, 1)} unit="mm" />
          <Row
            name={`as one ${fixed(f.amount.beadMm, 1)} mm bead`}
            value={f.amount.lineLengthMm.toFixed(0)}
            unit="mm"
          />
          <Row name="as a cross, each arm" value={f.amount.crossArmMm.toFixed(0)} unit="mm" />
          <Row name={`left in ${f.pasteId}`} value={fixed(f.gramsLeft, 1)} unit="g" />
          <Row
            name="jobs like this one left"
            value={f.applications}
            unit=""
            tone={f.applications < 2 ? 'text-plum' : ''}
          />
        </Section>
      ))}
      <Section title="Tube">
        <div className="flex flex-wrap gap-1.5">
          {pastes.map((p) => (
            <button
              key={p.id}
              type="button"
              aria-pressed={p.material.id === now}
              onClick={() => s.changes.change.mutate({ pasteId: p.material.id }, { onError: s.refuse })}
              className={`w-full rounded-[3px] border px-2.5 py-1 text-left ${p.material.id === now ? 'border-copper bg-copper-wash font-semibold' : 'border-rule bg-raised'}`}
            >
              {p.material.id}
              <span className="num ml-2 text-soft">
                {p.gramsLeft} g or {p.plungerMm.toFixed(0)} mm of plunger, {p.material.conductivityWPerMK} W/(m·K),{' '}
                {p.monthsToRepaste} mo
              </span>
              <Kelvin cost={costs.find((c) => c.id === p.material.id)} />
            </button>
          ))}
        </div>
      </Section>
      <Section title="Why">
        <Why>
          The amount is the face times the film that the clamp leaves
          {faces[0].amount.margin > 0
            ? `, and ${Math.round(faces[0].amount.margin * 100)} % more for the rim`
            : ', on both faces'}
          .
        </Why>
        <Why>{here.seating?.why}</Why>
      </Section>
      <Section title="Steps">
        <StepList s={s} />
      </Section>
    </>
  )
}

/** What the tube costs at the die. */
function Kelvin({ cost }: { cost?: Schemas['PasteCost'] }) {
  if (!cost) return null
  return (
    <span className="num block text-[15.5px]">
      die at {cost.dieC.toFixed(0)} °C, {fixed(cost.throughK, 1)} K of it through the film
      {!cost.chosen && Math.abs(cost.againstK) >= 0.1 && (
        <b className={cost.againstK > 0 ? 'text-plum' : 'text-cool'}>
          , {cost.againstK > 0 ? '+' : '−'}
          {fixed(Math.abs(cost.againstK), 1)} K
        </b>
      )}
    </span>
  )
}
