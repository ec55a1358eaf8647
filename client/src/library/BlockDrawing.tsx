import type { Block } from '../api/client'
import { BlockLayer } from '../mat/BlockLayer'
import { Grid } from '../mat/Grid'
import { driverOf, holesOf, identity } from '../mat/place'
import { ScrewSymbol } from '../mat/ScrewSymbol'
import { boxOf, useSize, useView } from '../mat/view'

/** A block alone on the mat: plate, lands, pockets, screws. */
export function BlockDrawing({ block }: { block: Block }) {
  const { ref, width, height } = useSize()
  const points = [...block.plates.flatMap((p) => p.outline as number[][]), ...block.ports.map((p) => [p.x, p.y])]
  const { projection: p } = useView(
    boxOf(
      points.length
        ? points
        : [
            [-10, -10],
            [10, 10],
          ],
    ),
    width,
    height,
    'front',
  )
  return (
    <div ref={ref} className="relative min-h-0 min-w-0 flex-1 overflow-hidden bg-mat">
      {width > 0 && (
        <svg width={width} height={height} role="img" aria-label={`${block.model}, drawn`} className="absolute inset-0">
          <Grid p={p} />
          <BlockLayer block={block} placement={identity} p={p} fill />
          {block.plates
            .flatMap((x) => x.lands)
            .map((l) => {
              const b = boxOf(l.outline as number[][])
              return (
                (b.maxX - b.minX) * p.scale > 36 && (
                  <text
                    key={l.id}
                    x={p.x((b.minX + b.maxX) / 2)}
                    y={p.y((b.minY + b.maxY) / 2) + 5}
                    textAnchor="middle"
                    fontSize={14}
                    fill="var(--copper)"
                  >
                    {l.for ?? l.part}
                  </text>
                )
              )
            })}
          {holesOf(block).map((h) => (
            <ScrewSymbol
              key={h.id}
              x={p.x(h.x)}
              y={p.y(h.y)}
              driver={driverOf(block, h.thread)}
              label={h.id}
              labelSide={h.x > 0 ? -1 : 1}
            />
          ))}
        </svg>
      )}
    </div>
  )
}
