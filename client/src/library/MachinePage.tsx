import { useMachine } from '../api/queries'
import { Link } from '../app/router'
import { Head, Row, Section, Why } from '../stations/Ledger'
import { MachineStand } from '../stations/match/MachineStand'
import { fixed } from '../ui/format'
import { ErrorNotice, Loading } from '../ui/Notice'
import { VerdictMark, verdictColour, verdictWords } from '../ui/Verdict'
import { DocumentSection } from './DocumentSection'

/** A machine of several cards: its slots, its links, what the loop gives each block. */
export function MachinePage({ id }: { id: string }) {
  const found = useMachine(id)
  if (found.error) return <ErrorNotice error={found.error} again={() => found.refetch()} />
  if (!found.data) return <Loading what="the machine" />
  const { machine, verdict, stand, between, loop, missing } = found.data
  return (
    <div className="scroll-thin min-h-0 overflow-y-auto bg-mat p-6">
      <article className="mx-auto max-w-[640px] bg-card px-6 py-5 shadow-[inset_0_0_0_1px_var(--rule)]">
        <Head sub={`${machine.cards.length} cards, slots ${machine.slotPitchMm} mm apart.`}>{machine.name}</Head>
        {verdict && (
          <p className={`flex items-center gap-2 text-[18px] font-semibold ${verdictColour[verdict]}`}>
            <VerdictMark verdict={verdict} size={22} />
            {verdictWords[verdict]}
          </p>
        )}
        <p className="mt-1 text-[15px]">
          <a
            className="text-copper underline underline-offset-3"
            href={`/api/machines/${machine.id}`}
            download={`${machine.id}.machine.json`}
          >
            Save the document
          </a>
        </p>
        <Section title="Cards">
          {machine.cards.map((c) => (
            <p key={c.key} className="flex gap-3 border-b border-rule/60 py-1 text-[15.5px]">
              <b className="num w-6 text-[18px]">{c.key}</b>
              <span className="flex-1">
                {c.job != null ? (
                  <Link className="text-copper underline underline-offset-3" to={`/job/${c.job}`}>
                    job {c.job}
                  </Link>
                ) : (
                  <Link className="text-copper underline underline-offset-3" to={`/library/boards/${c.board}`}>
                    {c.board}
                  </Link>
                )}
                {c.block && (
                  <>
                    {' under '}
                    <Link className="text-copper underline underline-offset-3" to={`/library/blocks/${c.block}`}>
                      {c.block}
                    </Link>
                  </>
                )}
              </span>
              <span className="text-soft">slot {c.slot}</span>
            </p>
          ))}
        </Section>
        {stand && <MachineStand machine={machine} stand={stand} />}
        {loop && loop.pairs.length > 1 && (
          <Section title={loop.parallel ? 'The loop, side by side' : 'The loop, one after the other'}>
            <Row name="flow of the loop" value={fixed(loop.flowLMin, 1)} unit="L/m" />
            <Row name="drop over the blocks" value={fixed(loop.blocksKPa, 1)} unit="kPa" />
            {loop.pairs.map((p) => (
              <Row key={p.pair} name={`block ${p.pair}`} value={fixed(p.flowLMin, 1)} unit="L/m" />
            ))}
          </Section>
        )}
        {between.map((b) => (
          <Why key={b.text} tone="text-plum">
            {b.text}
          </Why>
        ))}
        {missing.map((m) => (
          <Why key={m} tone="text-plum">
            {m}
          </Why>
        ))}
        <DocumentSection what="machines" id={id} />
      </article>
    </div>
  )
}
