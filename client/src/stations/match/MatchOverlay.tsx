import type { Block, Board, FitResult } from '../../api/client'
import { Callout } from '../../mat/Callout'
import { driverOf, holesOf, placed } from '../../mat/place'
import { ScrewSymbol } from '../../mat/ScrewSymbol'
import type { Projection } from '../../mat/view'
import { mm } from '../../ui/format'
import type { OverlayProps } from '../room'

export function MatchOverlay({ here, p, top }: OverlayProps) {
  const { board, block, fit } = here
  return block && fit ? <FitOverlay board={board} block={block} fit={fit} p={p} top={top} /> : null
}

/** The block's screws over the board's holes with their misses, and the one part that decides. */
export function FitOverlay({
  board,
  block,
  fit,
  p,
  top,
}: {
  board: Board
  block: Block
  fit: FitResult
  p: Projection
  top: number
}) {
  const worst = fit.clashes[0] ?? fit.tight[0] ?? fit.margins[0]
  const part = worst && board.parts.find((x) => x.id === worst.part)
  return (
    <g>
      {holesOf(block).map((h) => {
        const s = fit.screws.find((x) => x.blockHole === h.id)
        const hole = board.holes.find((b) => b.id === s?.boardHole)
        const [[x, y]] = placed(fit.placement, [[h.x, h.y]])
        const passes = s?.passes ?? false
        return (
          <g key={h.id}>
            {hole && !passes && (
              <path d={`M${p.x(x)} ${p.y(y)}L${p.x(hole.x)} ${p.y(hole.y)}`} stroke="var(--plum)" strokeWidth={3} />
            )}
            <ScrewSymbol
              x={p.x(x)}
              y={p.y(y)}
              r={8}
              driver={driverOf(block, h.thread)}
              state={passes ? 'done' : 'plain'}
            />
            {!passes && (
              <text
                x={p.x(x) + 12}
                y={p.y(y) - 10}
                className="num"
                fontSize={16}
                fontWeight={600}
                fill="var(--plum)"
                stroke="var(--board)"
                strokeWidth={3}
                paintOrder="stroke"
              >
                {s?.boardHole ? `${h.id} misses ${mm(s.missMm ?? 0)}` : `${h.id} no hole`}
              </text>
            )}
            <title>{`${h.id}: ${s?.boardHole ? `miss ${mm(s.missMm ?? 0)} of ${mm(s.slackMm ?? 0)} mm` : 'no hole'}`}</title>
          </g>
        )
      })}
      {part && worst && (
        <>
          <circle
            cx={p.x(part.x)}
            cy={p.y(part.y)}
            r={Math.max(9, (Math.max(part.widthMm, part.depthMm) * p.scale) / 2 + 4)}
            fill="none"
            stroke={worst.marginMm < 0 ? 'var(--plum)' : fit.tight.length ? 'var(--amber)' : 'var(--cool)'}
            strokeWidth={2.6}
          />
          <Callout
            p={p}
            at={[part.x, part.y]}
            topMm={top}
            tone={worst.marginMm < 0 ? 'plum' : fit.tight.length ? 'amber' : 'cool'}
            text={
              worst.marginMm < 0
                ? `${part.id} meets the ${worst.region === 'base' ? 'underside' : worst.region}, ${mm(-worst.marginMm)} mm too tall`
                : `tightest: ${part.id}, ${mm(worst.marginMm)} mm clear`
            }
          />
        </>
      )}
    </g>
  )
}
