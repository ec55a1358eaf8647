import type { Board } from '../api/client'
import { BoardLayer } from './BoardLayer'
import type { Moved } from './beside'
import { boxOf, type Projection } from './view'

/** A board of the order that is not worked on now. */
export interface OtherBoard {
  key: string
  board: Board
  /** Turns to it. */
  turnTo: () => void
}

/** The order's other boards at the same scale, pale, with their keys; pressed, the mat turns to one. */
export function OtherBoards({ others, at, p }: { others: OtherBoard[]; at: Moved[]; p: Projection }) {
  return (
    <g aria-hidden>
      {others.map((o, i) => {
        const moved = at[i]
        if (!moved) return null
        const own = shifted(p, moved.dx, moved.dy)
        return (
          // the bar over the mat has the same as buttons
          <g key={o.key} className="cursor-pointer" data-board={o.key} onClick={o.turnTo}>
            <g opacity={0.55}>
              <BoardLayer board={o.board} p={own} quiet />
            </g>
            <BoardKey name={o.key} board={o.board} p={own} />
          </g>
        )
      })}
    </g>
  )
}

/** A board's key outside its upper left corner. */
export function BoardKey({ name, board, p, mine }: { name: string; board: Board; p: Projection; mine?: boolean }) {
  const b = boxOf(board.outline as number[][])
  const [x, y] = [Math.min(p.x(b.minX), p.x(b.maxX)) - 15, p.y(b.maxY) + 13]
  return (
    <g aria-hidden>
      <rect
        x={x - 12}
        y={y - 13}
        width={24}
        height={26}
        rx={2}
        fill={mine ? 'var(--ink)' : 'var(--card)'}
        stroke="var(--ink)"
        strokeWidth={1.6}
      />
      <text
        x={x}
        y={y + 6}
        textAnchor="middle"
        className="num"
        fontSize={17}
        fontWeight={700}
        fill={mine ? 'var(--card)' : 'var(--ink)'}
      >
        {name}
      </text>
    </g>
  )
}

function shifted(p: Projection, dx: number, dy: number): Projection {
  const [x, y] = [(mm: number) => p.x(mm + dx), (mm: number) => p.y(mm + dy)]
  return {
    ...p,
    x,
    y,
    path: (points) => `M${points.map((q) => `${x(q[0]).toFixed(1)} ${y(q[1]).toFixed(1)}`).join('L')}Z`,
  }
}
