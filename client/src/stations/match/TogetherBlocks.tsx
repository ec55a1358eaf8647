import { useTogether } from '../../api/queries'
import { Button } from '../../ui/Button'
import { VerdictMark, verdictColour, verdictWords } from '../../ui/Verdict'
import { Section, Why } from '../Ledger'
import type { RoomProps } from '../room'

/** The whole board: which blocks go on it together, what they leave uncovered and what they cost. */
export function TogetherBlocks({ job, here, s }: RoomProps) {
  const wanted = here.board.kind === 'mainboard' && job.order.pieces.length === 1 && !job.finished
  const sets = useTogether(job, wanted).data
  if (!wanted || !sets?.length) return null
  const now = job.order.pairs
    .map((p) => p.block.id)
    .sort()
    .join('|')
  const ids = (c: (typeof sets)[number]) => c.blocks.flatMap((b) => Array<string>(b.count).fill(b.blockId))
  return (
    <Section title="The whole board, blocks together">
      <ul>
        {sets.map((c) => {
          const key = ids(c).sort().join('|')
          return (
            <li key={key} className={`border-b border-rule/60 py-1.5 ${key === now ? 'bg-copper-wash' : ''}`}>
              <div className="grid grid-cols-[20px_1fr_auto] items-baseline gap-2">
                <VerdictMark verdict={c.verdict} />
                <span>
                  {c.blocks.map((b) => (
                    <b key={b.blockId} className="block leading-tight">
                      {b.count > 1 ? `${b.count} × ` : ''}
                      {b.name}
                    </b>
                  ))}
                  <span className={`block text-[13.5px] leading-tight ${verdictColour[c.verdict]}`}>
                    {verdictWords[c.verdict]}
                    <span className="text-soft">
                      {c.uncovered.length === 0
                        ? ', all hot parts covered'
                        : `, ${c.uncovered.length} left bare, ${c.uncoveredW.toFixed(0)} W`}
                    </span>
                  </span>
                </span>
                <span className="num text-right text-[16px]">
                  {c.total == null ? '' : `${c.total.toFixed(0)} ${c.currency}`}
                  {key === now && <span className="block text-[13px] text-soft">on it now</span>}
                </span>
              </div>
              {key !== now && (
                <Button
                  className="mt-1"
                  onClick={() =>
                    s.changes.change.mutate(
                      {
                        pairs: ids(c).map((blockId, i) => ({ key: String.fromCharCode(80 + i), blockId })),
                        padChoices: [],
                      },
                      { onError: s.refuse },
                    )
                  }
                >
                  Take {c.blocks.length > 1 || c.blocks[0].count > 1 ? 'these' : 'it'}
                </Button>
              )}
            </li>
          )
        })}
      </ul>
      <Why>With fittings, plugs, pads and paste that the kits lack.</Why>
    </Section>
  )
}
