import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { answer, http, type JobView } from '../../api/client'
import { Mat } from '../../mat/Mat'
import { holesOf, placed } from '../../mat/place'
import { ScrewSymbol } from '../../mat/ScrewSymbol'
import { SeatLayer, seatPoints } from '../../mat/SeatLayer'
import { Button } from '../../ui/Button'
import { fixed } from '../../ui/format'
import { asked, type Here } from '../here'
import { Dies } from './Dies'
import { LoadChart } from './LoadChart'

/** Choose the screw and the turn yourself and watch the die; the score waits until every screw is home. */
export function Practice({ job, here, onClose }: { job: JobView; here: Here; onClose: () => void }) {
  const [moves, setMoves] = useState<{ hole: string; turns: number }[]>([])
  const [step, setStep] = useState(0.5)
  const block = here.block!
  const placement = here.placement
  const { data: r, error } = useQuery({
    queryKey: ['practice', job.id, job.version, moves, here.pairKey, here.boardKey],
    queryFn: () =>
      answer(
        http.POST('/api/jobs/{id}/practice', { params: { path: { id: job.id }, query: asked(here) }, body: { moves } }),
      ),
    placeholderData: keepPreviousData,
  })
  const left = Object.fromEntries((r?.left ?? []).map((x) => [x.hole, x.turns]))
  const last = r?.moves.at(-1)
  const turn = (hole: string) => {
    if ((left[hole] ?? 0) > 1e-6) setMoves([...moves, { hole, turns: step }])
  }
  const holes = holesOf(block)
  return (
    <div className="grid min-h-0 flex-1 grid-rows-[minmax(0,1fr)_auto]">
      <div className="flex min-h-0">
        <Mat
          board={here.board}
          face="front"
          label="Practise the tightening"
          quiet
          include={block.plates.flatMap((p) => placed(placement, p.outline as number[][]))}
          focus={seatPoints(here)}
          legend={<span>press a screw to turn it</span>}
        >
          {(p) => (
            <g>
              <SeatLayer here={here} p={p} />
              {block.plates.map((x) => (
                <path
                  key={x.id}
                  d={p.path(placed(placement, x.outline as number[][]))}
                  fill="none"
                  stroke="var(--copper)"
                  strokeWidth={2}
                  strokeDasharray="9 5"
                />
              ))}
              {holes
                .filter((h) => h.id in left)
                .map((h) => {
                  const [[x, y]] = placed(placement, [[h.x, h.y]])
                  const home = left[h.id] <= 1e-6
                  return (
                    <g
                      key={h.id}
                      role="button"
                      tabIndex={0}
                      aria-label={`Turn ${h.id}, ${home ? 'home' : `${fixed(left[h.id], 2)} turns left`}`}
                      className="cursor-pointer"
                      onClick={() => turn(h.id)}
                      onKeyDown={(e) => {
                        if (e.key === 'Enter') turn(h.id)
                      }}
                    >
                      <circle cx={p.x(x)} cy={p.y(y)} r={22} fill="transparent" />
                      <ScrewSymbol
                        x={p.x(x)}
                        y={p.y(y)}
                        r={14}
                        driver={here.screws.find((x) => x.hole === h.id)?.driver ?? ''}
                        state={home ? 'done' : last?.hole === h.id ? 'now' : 'plain'}
                      />
                      <text
                        x={p.x(x)}
                        y={p.y(y) + 33}
                        textAnchor="middle"
                        className="num"
                        fontSize={17}
                        fontWeight={700}
                        fill="var(--ink)"
                        stroke="var(--board)"
                        strokeWidth={4}
                        paintOrder="stroke"
                      >
                        {home ? 'home' : fixed(left[h.id], 2)}
                      </text>
                    </g>
                  )
                })}
            </g>
          )}
        </Mat>
      </div>
      <div
        className="flex flex-wrap items-center gap-x-6 gap-y-2 border-t border-rule bg-card px-4 py-2.5"
        aria-label="Practice"
        role="region"
      >
        <div className="flex items-center gap-1.5">
          <span className="text-[14px] text-soft">turn</span>
          {(r?.choices ?? []).map(({ words: name, turns: t }) => (
            <Button key={name} kind={step === t ? 'go' : 'plain'} aria-pressed={step === t} onClick={() => setStep(t)}>
              {name}
            </Button>
          ))}
        </div>
        {r?.pressesDie && r.moves.length > 0 && (
          <LoadChart values={r.moves.map((m) => m.peakMPa)} limit={r.peakLimitMPa} unit="MPa" />
        )}
        {last && last.dies.length > 0 && (
          <div className="w-[250px]">
            <Dies dies={last.dies} />
          </div>
        )}
        <dl className="num flex gap-4 text-[17px]">
          {r?.worstEdge && (
            <div>
              <dt className="text-[13px] text-soft">edge, worst</dt>
              <dd className={r.edgeOver ? 'text-plum' : ''}>{r.worstEdge}</dd>
            </div>
          )}
          <div>
            <dt className="text-[13px] text-soft">tilt, worst</dt>
            <dd>{fixed(r?.worst.tiltDeg, 2)}°</dd>
          </div>
          <div>
            <dt className="text-[13px] text-soft">moves</dt>
            <dd>{r?.moves.length}</dd>
          </div>
        </dl>
        <span className="flex-1" />
        {error && <span className="text-plum">{(error as Error).message}</span>}
        {r?.score != null ? (
          <p className="text-[19px] font-bold">
            Score {r.score.toFixed(0)}{' '}
            <span className="text-[15px] font-normal text-soft">
              cross {r.crossScore.toFixed(0)}, one corner first {r.cornerScore.toFixed(0)}
            </span>
          </p>
        ) : (
          <p className="text-[15px] text-soft">
            {r
              ? `To beat: cross ${r.crossScore.toFixed(0)}, one corner first ${r.cornerScore.toFixed(0)}`
              : 'Calculation both ways'}
          </p>
        )}
        <Button disabled={moves.length === 0} onClick={() => setMoves(moves.slice(0, -1))}>
          Take back
        </Button>
        <Button disabled={moves.length === 0} onClick={() => setMoves([])}>
          Start again
        </Button>
        <Button onClick={onClose}>Leave</Button>
      </div>
    </div>
  )
}
