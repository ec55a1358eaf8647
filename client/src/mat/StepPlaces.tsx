import type { WorkStep } from '../api/client'
import type { Here } from '../stations/here'
import type { Projection } from './view'

/** Where a step is done, lit: the plug of a lead as a ring, and the outline of the face where it has no place of its own. */
export function StepPlaces({ step, here, p }: { step: WorkStep; here: Here; p: Projection }) {
  const lead = step.kind === 'unplug' || step.kind === 'connect'
  const known = new Set([...here.board.parts.map((x) => x.id), ...here.screws.map((x) => x.hole)])
  const placed = step.places.length > 0 || step.targets.some((t) => known.has(t))
  return (
    <g aria-hidden data-lit={lead && step.places.length > 0 ? 'plug' : placed ? 'place' : 'face'}>
      {(!placed || step.kind === 'lift') && (
        <path
          d={p.path(here.board.outline as number[][])}
          fill="none"
          stroke="var(--copper)"
          strokeWidth={9}
          strokeLinejoin="round"
          opacity={0.85}
        />
      )}
      {lead &&
        step.places.map(([x, y]) => (
          <g key={`${x},${y}`} transform={`translate(${p.x(x)} ${p.y(y)})`}>
            <circle r={30} fill="var(--copper)" fillOpacity={0.16} stroke="var(--copper)" strokeWidth={5} />
            <path
              d="M-11 -6V-14M0 -6V-14M11 -6V-14M-15 -6H15V8H-15Z"
              fill="var(--card)"
              stroke="var(--copper)"
              strokeWidth={3.4}
            />
          </g>
        ))}
    </g>
  )
}
