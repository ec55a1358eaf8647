import type { JobView } from '../../api/client'
import { fixed } from '../../ui/format'
import { Row, Section, Why } from '../Ledger'

/** What each block gets of the loop's flow, and how warm its coolant comes in. */
export function LoopFlow({ job }: { job: JobView }) {
  const loop = job.plan.loop
  if (!loop || loop.pairs.length < 2) return null
  const name = (key: string) => job.order.pairs.find((p) => p.key === key)?.block.model ?? key
  return (
    <Section title={loop.parallel ? 'The loop, blocks side by side' : 'The loop, one block after the other'}>
      <Row name="flow of the loop" value={fixed(loop.flowLMin, 1)} unit="L/m" />
      <Row name="drop over the blocks" value={fixed(loop.blocksKPa, 1)} unit="kPa" />
      {loop.pairs.map((p) => (
        <Row
          key={p.pair}
          name={
            <>
              <b className="num">{p.pair}</b> {name(p.pair)}
              {p.inletRiseK >= 0.1 && <span className="text-soft">, in {fixed(p.inletRiseK, 1)} K warmer</span>}
            </>
          }
          value={loop.parallel ? fixed(p.flowLMin, 1) : fixed(p.dropKPa, 1)}
          unit={loop.parallel ? 'L/m' : 'kPa'}
        />
      ))}
      {loop.unknown.length > 0 && (
        <Why>No drop is stated for {loop.unknown.join(', ')}: the loop is calculated without it.</Why>
      )}
    </Section>
  )
}
