import { capital, fixed } from '../../ui/format'
import { troublesOf } from '../here'
import { Head, Row, Section, Why } from '../Ledger'
import { LooseEnds } from '../LooseEnds'
import type { RoomProps } from '../room'
import { StepList } from '../StepList'
import { turnNow } from '../stepLogic'
import { BowSection } from './BowSection'
import { Dies } from './Dies'
import { HoleTable } from './HoleTable'
import { LoadChart } from './LoadChart'
import type { BowChoice } from './room'
import { Turned } from './Turned'

/** What the tightening does to the die, move by move, and why this order. */
export function MountLedger({ job, here, s, select, own }: RoomProps<BowChoice>) {
  const t = here.tightening
  if (!t)
    return (
      <>
        {here.block ? (
          <Head sub={troublesOf(job) || job.plan.mount.sheet.summary}>
            {here.block.carriers?.length ? 'One block on all modules' : 'Order only'}
          </Head>
        ) : (
          <Head sub={troublesOf(job) || 'Choose a block at Match first.'}>Order only</Head>
        )}
        {here.holes.length > 0 && <HoleTable here={here} select={select} />}
        <Section title="Steps">
          <StepList s={s} />
        </Section>
      </>
    )
  const turn = turnNow(s.step, s.count) ?? s.step?.turns[0]
  const move = t.moves.find((m) => m.pass === s.step?.pass && m.hole === turn?.hole)
  return (
    <>
      <Head sub={t.summary}>{capital(t.pace ?? '')}</Head>
      {t.pressesDie ? (
        <Section title="Pressure at the die's edge, move by move, MPa">
          <LoadChart
            values={t.moves.map((m) => m.peakMPa)}
            limit={t.peakLimitMPa}
            unit="MPa"
            now={move ? t.moves.indexOf(move) : undefined}
          />
        </Section>
      ) : (
        <Section title="Tilt, move by move, degrees">
          <LoadChart
            values={t.moves.map((m) => m.tiltDeg)}
            limit={t.tiltLimitDeg}
            unit="°"
            now={move ? t.moves.indexOf(move) : undefined}
          />
        </Section>
      )}
      {move && (
        <Section title={`${capital(turn?.thing ?? 'screw')} ${turn?.number}, pass ${move.pass} of ${t.passes}`}>
          <Row name="pull afterwards" value={move.loadText} />
          <Row name="torque" value={move.torqueText} />
          {move.filmUm.length === 2 && (
            <Row
              name="film, thin to thick"
              value={`${move.filmUm[0].toFixed(0)}–${move.filmUm[1].toFixed(0)}`}
              unit="µm"
            />
          )}
          <Row name="tilt" value={fixed(move.tiltDeg, 2)} unit="°" />
          <Dies dies={move.dies} />
        </Section>
      )}
      <Turned job={job} s={s} />
      <Section title="Why this order">
        <Row name="worst tilt, this order" value={fixed(t.worst.tiltDeg, 2)} unit="°" />
        {t.worstEdge && <Row name="worst edge pressure, this order" value={t.worstEdge} />}
        {t.cornerEdge && <Row name="one corner home first" value={t.cornerEdge} tone="text-plum" />}
        <Why>{t.whyThisOrder}</Why>
      </Section>
      <LooseEnds job={job} />
      <BowSection job={job} here={here} shown={own.bow} show={own.show} />
      <HoleTable here={here} select={select} />
      <Section title="Steps">
        <StepList s={s} />
      </Section>
    </>
  )
}
