import { useCard, useCardBlocks } from '../api/queries'
import { Link } from '../app/router'
import { Mat } from '../mat/Mat'
import { Head, Row, Section, Why } from '../stations/Ledger'
import { mm } from '../ui/format'
import { ErrorNotice, Loading } from '../ui/Notice'
import { VerdictMark, verdictColour, verdictWords } from '../ui/Verdict'
import { DocumentSection } from './DocumentSection'

/** A card of several boards: each drawn, how they sit to each other, and the blocks that go on it. */
export function CardPage({ id }: { id: string }) {
  const card = useCard(id)
  const matches = useCardBlocks(id)
  if (card.error) return <ErrorNotice error={card.error} again={() => card.refetch()} />
  if (!card.data) return <Loading what="the card" />
  const c = card.data
  return (
    <div className="grid min-h-0 grid-cols-[minmax(0,1fr)_332px]">
      <div className="grid min-h-0 auto-rows-fr">
        {c.boards.map(({ key, board }) => (
          <section key={key} className="relative flex min-h-0 border-b border-rule" aria-label={`Board ${key}`}>
            <Mat board={board} face="front" label={`Board ${key} of ${c.model}`} />
            <b className="absolute left-3 top-2 bg-card px-2 text-[20px]">{key}</b>
          </section>
        ))}
      </div>
      <aside
        className="scroll-thin min-h-0 overflow-y-auto border-l border-rule bg-card px-4 py-3.5"
        aria-label="Ledger"
        tabIndex={0}
      >
        <Head sub={`${c.maker}, ${c.boardCode} ${c.revision}, ${c.boards.length} boards.`}>{c.model}</Head>
        <p className="mb-2 text-[15px]">
          <a
            className="text-copper underline underline-offset-3"
            href={`/api/cards/${c.id}`}
            download={`${c.id}.card.json`}
          >
            Save the document
          </a>
        </p>
        <Section title="How the boards sit">
          {c.boards.map(
            ({ key, pose }) =>
              pose && (
                <Row
                  key={key}
                  name={`${key} ${pose.flipped ? 'faces' : 'lies like'} ${c.boards[0].key}, apart`}
                  value={`${mm(pose.spacingMm)}${pose.spacingTolMm ? ` ± ${mm(pose.spacingTolMm)}` : ''}`}
                  unit="mm"
                />
              ),
          )}
          {(c.ribbons ?? []).map((r) => (
            <Row
              key={r.id}
              name={`${r.name}, ${r.from.board} to ${r.to.board}`}
              value={r.slackMm == null ? 'slack unknown' : mm(r.slackMm)}
              unit={r.slackMm == null ? '' : 'mm slack'}
            />
          ))}
          {(c.ribbons ?? []).length > 0 && <Why>A ribbon stays out from under every plate.</Why>}
        </Section>
        <Section title="Blocks by verdict">
          {(matches.data ?? []).map((m) => (
            <Link
              key={m.blockId}
              to={`/library/blocks/${m.blockId}`}
              className="grid w-full grid-cols-[20px_1fr] items-baseline gap-2 border-b border-rule/60 py-1.5"
            >
              <VerdictMark verdict={m.verdict} />
              <span>
                <b className="leading-tight">{m.blockName}</b>
                <span className={`block text-[13.5px] leading-tight ${verdictColour[m.verdict]}`}>
                  {verdictWords[m.verdict]}: <span className="text-soft">{m.topReason || m.summary}</span>
                </span>
              </span>
            </Link>
          ))}
          {matches.data?.length === 0 && <Why>No block of the library names boards of this card.</Why>}
        </Section>
        <DocumentSection what="cards" id={id} />
      </aside>
    </div>
  )
}
