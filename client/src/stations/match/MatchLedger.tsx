import { useBlocksFor, useSeatBlocks } from '../../api/queries'
import { LastTime } from '../../library/LastTime'
import { mm } from '../../ui/format'
import { VerdictMark, verdictColour, verdictWords } from '../../ui/Verdict'
import { Head, Row, Section, Why } from '../Ledger'
import { ExpectedFigures } from '../prove/Expected'
import type { RoomProps } from '../room'
import { SeatMatch } from '../seat/SeatMatch'
import { LoopFlow } from './LoopFlow'
import { MachineStand } from './MachineStand'
import { TogetherBlocks } from './TogetherBlocks'

/** The verdict with its reasons, and every block of the library for this board by verdict. */
export function MatchLedger(props: RoomProps) {
  const { job, here, s } = props
  const fit = here.fit
  const seated = !!here.seated
  const all = useBlocksFor(seated ? undefined : here.board.id).data?.entries
  const onSocket = useSeatBlocks(seated ? job : undefined, here.boardKey).data
  const list = onSocket ?? all ?? []
  return (
    <>
      {fit ? (
        <Head tone={verdictColour[fit.verdict]} sub={fit.reasons[0].text}>
          <span className="inline-flex items-center gap-2">
            <VerdictMark verdict={fit.verdict} size={24} />
            {verdictWords[fit.verdict]}
          </span>
        </Head>
      ) : (
        <Head sub="Choose one below; the list is sorted by how little must change.">No block chosen</Head>
      )}
      {fit && (
        <Section title="Figures">
          <Row name="chance of seating" value={Math.round(fit.chanceOfSeating * 100)} unit="%" />
          <Row
            name="worst screw, of its slack"
            value={Math.round(fit.missRatio * 100)}
            unit="%"
            tone={fit.missRatio > 1 ? 'text-plum' : ''}
          />
          {fit.margins[0] && (
            <Row
              name={`tightest part, ${fit.margins[0].part}`}
              value={mm(fit.margins[0].marginMm)}
              unit="mm"
              tone={fit.margins[0].marginMm < 0 ? 'text-plum' : ''}
            />
          )}
          <Row name="evidence" value={`grade ${fit.grade}`} />
        </Section>
      )}
      <LastTime document={here.board.id} but={job.id} title="Last time on this board" most={3} />
      {job.order.machine && job.plan.match.order?.machine && (
        <MachineStand machine={job.order.machine} stand={job.plan.match.order.machine} />
      )}
      <SeatMatch {...props} />
      <LoopFlow job={job} />
      <ExpectedFigures {...props} />
      {fit && (
        <Section title="Why">
          {fit.reasons.map((r) => (
            <Why key={r.code + r.text} tone={r.weight === 'clash' ? 'text-plum' : ''}>
              {r.text}
            </Why>
          ))}
        </Section>
      )}
      {!!fit?.sinks.length && (
        <Section title="Sinks on uncovered parts, °C in 40 °C air">
          {fit.sinks.slice(0, 8).map((x) => (
            <Row
              key={x.part}
              name={`${x.part}, ${x.widthMm} × ${x.depthMm} × ${x.heightMm}`}
              value={`${Math.round(x.temperatureC)}${x.limitC ? ` of ${x.limitC}` : ''}`}
              tone={x.limitC != null && x.temperatureC > x.limitC ? 'text-plum' : ''}
            />
          ))}
          {fit.sinks.length > 8 && <p className="text-[13px] text-soft">and {fit.sinks.length - 8} more like these</p>}
        </Section>
      )}
      <TogetherBlocks {...props} />
      <Section
        title={seated ? 'Blocks for this socket, least change first' : 'Blocks for this board, least change first'}
      >
        <ul>
          {list.map((m) => (
            <li key={m.blockId}>
              <button
                type="button"
                aria-pressed={m.blockId === here.block?.id}
                onClick={() => s.changes.change.mutate({ blockId: m.blockId, padChoices: [] }, { onError: s.refuse })}
                className={`grid w-full grid-cols-[20px_1fr_auto] items-baseline gap-2 border-b border-rule/60 py-1.5 text-left ${m.blockId === here.block?.id ? 'bg-copper-wash' : ''}`}
              >
                <VerdictMark verdict={m.verdict} />
                <span>
                  <b>{m.blockName}</b>
                  <span className={`block text-[13.5px] leading-tight ${verdictColour[m.verdict]}`}>
                    {verdictWords[m.verdict]}: <span className="text-soft">{m.summary}</span>
                  </span>
                </span>
                <span className="num text-[16px]">
                  {'grade' in m ? m.grade : ''}
                  {m.price ? ` ${m.price.amount.toFixed(0)} ${m.price.currency}` : ''}
                </span>
              </button>
            </li>
          ))}
        </ul>
      </Section>
    </>
  )
}
