import type { ReactNode } from 'react'
import type { Schemas } from '../api/client'
import { useComparison } from '../api/queries'
import { Button } from '../ui/Button'
import { fixed, mm, percent } from '../ui/format'
import { ErrorNotice, Loading } from '../ui/Notice'
import { VerdictMark, verdictColour, verdictWords } from '../ui/Verdict'

type Choice = Schemas['Choice']

/** Up to three blocks side by side; the better figure of each line is marked. */
export function Comparison({
  boardId,
  blockIds,
  onClose,
  onTake,
}: {
  boardId: string
  blockIds: string[]
  onClose: () => void
  onTake: (id: string) => void
}) {
  const { data, error, refetch } = useComparison(boardId, blockIds)
  if (error) return <ErrorNotice error={error} again={() => refetch()} />
  if (!data) return <Loading what="the comparison" />
  const best = (value: (c: Choice) => number | null | undefined, least = true) => {
    // the API says which may be best at anything
    const all = data
      .filter((c) => c.mayBeBest)
      .map(value)
      .filter((v): v is number => v != null)
    return all.length < 2 || new Set(all).size < 2 ? undefined : least ? Math.min(...all) : Math.max(...all)
  }
  const line = (
    name: string,
    show: (c: Choice) => ReactNode,
    value?: (c: Choice) => number | null | undefined,
    least = true,
  ) => {
    const good = value && best(value, least)
    return (
      <tr key={name} className="border-b border-rule align-top">
        <th scope="row" className="w-44 py-2 pr-3 text-left text-[14px] font-normal text-soft">
          {name}
        </th>
        {data.map((c) => (
          <td key={c.blockId} className="num px-3 py-2 text-[18px]">
            {show(c)}
            {good !== undefined && c.mayBeBest && value!(c) === good && (
              <b className="ml-2 text-[14px] text-cool">best</b>
            )}
          </td>
        ))}
      </tr>
    )
  }
  return (
    <div className="scroll-thin min-h-0 overflow-y-auto bg-card p-5">
      <div className="mb-3 flex items-center gap-4">
        <h2 className="flex-1 text-[25px] font-bold">
          Side by side
          {data[0]?.coolantInC != null && (
            <span className="ml-3 text-[15px] font-normal text-soft">
              coolant in at {data[0].coolantInC} °C, {data[0].flowLPerMin} L/min, the board's stated heat
            </span>
          )}
        </h2>
        <Button onClick={onClose}>Back to the board</Button>
      </div>
      <table className="w-full table-fixed">
        <thead>
          <tr className="align-bottom">
            <td className="w-44" />
            {data.map((c) => (
              <th key={c.blockId} scope="col" className="px-3 pb-3 text-left">
                <span className="block text-[20px]">{c.name}</span>
                <span className={`inline-flex items-center gap-1.5 font-bold ${verdictColour[c.fit.verdict]}`}>
                  <VerdictMark verdict={c.fit.verdict} />
                  {verdictWords[c.fit.verdict]}
                </span>
                <span className="block text-[14px] font-normal leading-snug text-soft">{c.fit.reasons[0].text}</span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {line(
            'heat under a land',
            (c) => `${percent(c.coveredShare)} %`,
            (c) => c.coveredShare,
            false,
          )}
          {line(
            'tightest part',
            (c) =>
              c.fit.margins[0] ? `${mm(c.fit.margins[0].marginMm)} mm, ${c.fit.margins[0].part}` : 'none beneath',
            (c) => c.fit.margins[0]?.marginMm,
            false,
          )}
          {line('pads that fit', (c) => (c.padPlaces ? `${c.padsGood} of ${c.padPlaces}` : 'no pads'))}
          {line(
            'bracket',
            (c) => (c.slots ? `${c.slots} ${c.slots === 1 ? 'slot' : 'slots'}` : 'as it was'),
            (c) => c.slots,
          )}
          {line('ports', (c) => c.ports.join(' · ') || 'none stated')}
          {line(
            `die to coolant at ${data[0].flowLPerMin} L/min`,
            (c) => (c.resistanceKPerW ? `${(c.resistanceKPerW * 1000).toFixed(0)} K/kW` : 'not stated'),
            (c) => c.resistanceKPerW,
          )}
          {line(
            'die over coolant',
            (c) => (c.dieRiseK ? `${c.dieRiseK.toFixed(0)} K` : '–'),
            (c) => c.dieRiseK,
          )}
          {[...new Set(data.flatMap((c) => c.held.map((h) => h.kind)))].map((kind) =>
            line(
              `${
                data
                  .flatMap((c) => c.held)
                  .find((h) => h.kind === kind)!
                  .name.split(',')[0]
              } runs at`,
              (c) => <HeldAt held={c.held.filter((h) => h.kind === kind)} />,
              (c) => {
                const own = c.held.filter((h) => h.kind === kind)
                return own.length > 0 && own.every((h) => h.c != null)
                  ? Math.max(...own.map((h) => Math.round(h.c!)))
                  : null
              },
            ),
          )}
          {line(
            'complete kit',
            (c) =>
              c.total ? (
                <>
                  {c.total.toFixed(0)} {c.currency}
                  <span className="block text-[14px] leading-snug text-soft">
                    {c.cost.map((x) => `${x.what} ${x.amount.toFixed(0)}`).join(', ')}
                  </span>
                </>
              ) : (
                'no price'
              ),
            (c) => c.total,
          )}
          {line('each kelvin less costs', (c) =>
            c.moneyPerKelvin ? `${fixed(c.moneyPerKelvin, 2)} ${c.currency}` : '–',
          )}
          {line('evidence', (c) => `grade ${c.fit.grade}`)}
        </tbody>
        <tfoot>
          <tr>
            <td />
            {data.map((c) => (
              <td key={c.blockId} className="px-3 pt-4">
                <Button kind="go" aria-label={`Lay ${c.name} on the board`} onClick={() => onTake(c.blockId)}>
                  Lay on board
                </Button>
              </td>
            ))}
          </tr>
        </tfoot>
      </table>
    </div>
  )
}

/** What a candidate holds a kind of part at: under the block, on a sink beside it, or on nothing. */
function HeldAt({ held }: { held: Schemas['Held'][] }) {
  if (held.length === 0) return '–'
  return held.map((h) => (
    <span key={h.by} className={`block ${h.limitC != null && h.c != null && h.c > h.limitC ? 'text-plum' : ''}`}>
      {h.c == null ? 'left bare' : `${h.c.toFixed(0)}${h.rangeK == null ? '' : ` ± ${h.rangeK.toFixed(0)}`} °C`}
      <span className="ml-1.5 text-[14px] text-soft">
        {h.part}
        {h.by === 'sink' && ' on a sink, on air'}
        {h.limitC != null && `, limit ${h.limitC.toFixed(0)}`}
      </span>
    </span>
  ))
}
