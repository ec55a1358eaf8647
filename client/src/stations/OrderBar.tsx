import type { JobView } from '../api/client'
import type { Keys } from '../app/keys'
import type { Choice, Here } from './here'

/** Letters that choose a block, where no other key of the desk has them. */
const taken = new Set(['f', 'g', 'n', 't', 'x', 'v', 'b', 'l', 'd', 'o'])

/** O turns to the other board, the next one of several, a block's letter to that block. */
export function useOrderKeys(job: JobView, here: Here, choose: (c: Choice) => void): Keys {
  const { pieces, pairs } = job.order
  return {
    ...(pieces.length > 1 && {
      o: () => choose({ board: pieces[(pieces.findIndex((p) => p.key === here.boardKey) + 1) % pieces.length].key }),
    }),
    ...(pairs.length > 1 &&
      Object.fromEntries(
        pairs
          .filter((p) => p.key.length === 1 && !taken.has(p.key.toLowerCase()))
          .map((p) => [p.key.toLowerCase(), () => choose(onto(job, p.key))]),
      )),
  }
}

/** A block with the board it lies on. */
const onto = (job: JobView, pair: string): Choice => ({
  pair,
  board: job.plan.match.order?.pairs.find((p) => p.key === pair)?.on[0]?.board,
})

/** Which board and which block are looked at, where an order has several. */
export function OrderBar({ job, here, choose }: { job: JobView; here: Here; choose: (c: Choice) => void }) {
  const { pieces, pairs } = job.order
  if (pieces.length < 2 && pairs.length < 2) return null
  const verdict = (key: string) => job.plan.match.order?.pairs.find((p) => p.key === key)
  const tab = (on: boolean) =>
    `flex min-h-9 items-center gap-2 border-b-[3px] px-3 text-[15px] ${on ? 'border-copper bg-raised font-semibold' : 'border-transparent text-soft'}`
  return (
    <div
      className="flex flex-wrap items-stretch gap-x-1 border-b border-rule bg-card"
      role="toolbar"
      aria-label="On the mat"
    >
      {pieces.length > 1 &&
        pieces.map((x) => (
          <button
            key={x.key}
            type="button"
            aria-pressed={x.key === here.boardKey}
            className={tab(x.key === here.boardKey)}
            onClick={() => choose({ board: x.key })}
          >
            <b className="num text-[18px]">{x.key}</b>
            {x.board.model}
            {x.pose?.flipped && <span className="text-[13px] text-soft">faces {pieces[0].key}</span>}
          </button>
        ))}
      {pieces.length > 1 && <kbd className="num self-center px-1 text-[13px] text-soft">O</kbd>}
      {pairs.length > 1 && (
        <>
          <span className="mx-1 w-px bg-rule" />
          {pairs.map((x) => (
            <button
              key={x.key}
              type="button"
              aria-pressed={x.key === here.pairKey}
              className={tab(x.key === here.pairKey)}
              onClick={() => choose(onto(job, x.key))}
            >
              <b className="num grid h-6 w-6 place-items-center rounded-full border-2 border-copper text-[14px]">
                {x.key}
              </b>
              <span>{x.block.model}</span>
              {verdict(x.key)?.verdict === 'clashes' && <span className="text-[13px] text-plum">clashes</span>}
            </button>
          ))}
        </>
      )}
    </div>
  )
}
