import type { Block, Schemas } from '../../api/client'
import { BlockInside } from '../../mat/BlockInside'
import { Grid } from '../../mat/Grid'
import { placed } from '../../mat/place'
import { boxOf, useSize, useView } from '../../mat/view'

type Points = number[][]
const path = (p: { x: (v: number) => number; y: (v: number) => number }, points: Points) =>
  `M${points.map(([x, y]) => `${p.x(x).toFixed(1)} ${p.y(y).toFixed(1)}`).join('L')}Z`

/** A processor in its socket under a block, from above: lid, dies, capacitors, corner mark, keep-outs, posts, fins and slit. */
export function SocketDrawing({
  socket,
  processor,
  block,
  rotationDeg,
  springs,
  bare,
}: {
  socket: Schemas['Socket']
  processor?: Schemas['Board']
  block?: Block
  rotationDeg: number
  springs?: Schemas['TurnedSpring'][]
  bare: boolean
}) {
  const { ref, width, height } = useSize()
  const turn = { xMm: 0, yMm: 0, rotationDeg }
  const plates = (block?.plates ?? []).map((p) => placed(turn, p.outline as Points))
  const { projection: p } = useView(
    boxOf([
      ...(socket.packageOutline as Points),
      ...plates.flat(),
      ...(socket.keepOut ?? []).flatMap((k) => k.outline as Points),
      ...(socket.holes ?? []).map((h) => [h.x, h.y]),
    ]),
    width,
    height,
    'front',
  )
  const package_ = socket.packageOutline as Points
  const mark = socket.cornerMark as number[] | null | undefined
  const corner = boxOf(package_)
  const top = (part: Schemas['Part']) =>
    part.outline
      ? placed({ xMm: part.x, yMm: part.y, rotationDeg: part.rotationDeg ?? 0 }, part.outline as Points)
      : placed({ xMm: part.x, yMm: part.y, rotationDeg: part.rotationDeg ?? 0 }, [
          [-part.widthMm / 2, -part.depthMm / 2],
          [part.widthMm / 2, -part.depthMm / 2],
          [part.widthMm / 2, part.depthMm / 2],
          [-part.widthMm / 2, part.depthMm / 2],
        ])
  const { finDirectionDeg: fins, slitDirectionDeg: slit } = block?.coldPlate ?? {}
  return (
    <div ref={ref} className="relative min-h-0 min-w-0 flex-1 overflow-hidden bg-mat">
      {width > 0 && (
        <svg
          width={width}
          height={height}
          role="img"
          aria-label={`${socket.name}${processor ? ` with ${processor.model}` : ''}${block ? ` under ${block.model}, turned ${rotationDeg}°` : ''}`}
          className="absolute inset-0"
        >
          <Grid p={p} />
          <path d={path(p, package_)} fill="var(--board)" stroke="var(--part-line)" strokeWidth={2} />
          {mark && (
            <path
              d={`M${p.x(mark[0] > 0 ? corner.maxX : corner.minX)} ${p.y(mark[1] > 0 ? corner.maxY : corner.minY)}l${-mark[0] * 18} 0L${p.x(mark[0] > 0 ? corner.maxX : corner.minX)} ${p.y(mark[1] > 0 ? corner.maxY : corner.minY) + mark[1] * 18}Z`}
              fill="var(--copper)"
            />
          )}
          {(processor?.parts ?? [])
            .filter((x) => !(bare && x.kind === 'lid'))
            .map((x) => (
              <g key={x.id}>
                <path
                  d={path(p, top(x))}
                  fill={x.kind === 'lid' ? 'var(--metal)' : x.kind === 'die' ? 'var(--silicon)' : 'var(--hatch)'}
                  fillOpacity={x.kind === 'die' && !bare ? 0.28 : 1}
                  stroke="var(--part-line)"
                />
                {x.kind === 'die' && (
                  <text
                    x={p.x(x.x)}
                    y={p.y(x.y) + 5}
                    textAnchor="middle"
                    fontSize={15}
                    fill={bare ? 'var(--card)' : 'var(--ink)'}
                  >
                    {x.id}
                  </text>
                )}
              </g>
            ))}
          {(socket.keepOut ?? []).map((k, i) => {
            const b = boxOf(k.outline as Points)
            return (
              <g key={i}>
                <path d={path(p, k.outline as Points)} fill="var(--hatch)" stroke="var(--hatch-line)" />
                <text
                  x={p.x((b.minX + b.maxX) / 2)}
                  y={p.y((b.minY + b.maxY) / 2) + 5}
                  textAnchor="middle"
                  fontSize={13}
                  fill="var(--ink)"
                >
                  {k.heightMm} high
                </text>
              </g>
            )
          })}
          {(socket.holes ?? []).map((h) => (
            <circle
              key={h.id}
              cx={p.x(h.x)}
              cy={p.y(h.y)}
              r={(h.diameterMm / 2) * p.scale}
              fill="var(--mat)"
              stroke="var(--part-line)"
            />
          ))}
          {plates.map((o, i) => (
            <path key={i} d={path(p, o)} fill="none" stroke="var(--copper)" strokeWidth={2.5} strokeDasharray="9 5" />
          ))}
          {(springs ?? []).map((h) => (
            <circle
              key={h.id}
              cx={p.x(h.xMm)}
              cy={p.y(h.yMm)}
              r={7}
              fill="none"
              stroke="var(--copper)"
              strokeWidth={3}
            />
          ))}
          <BlockInside block={block} placement={turn} p={p} />
        </svg>
      )}
      {block && fins != null && slit != null && (
        <p className="absolute bottom-3 left-3 flex gap-4 bg-card px-3 py-1 text-[14px]">
          <span className="flex items-center gap-1.5">
            <i className="inline-block h-3 w-6 rounded bg-cool opacity-40" /> fins
          </span>
          <span className="flex items-center gap-1.5">
            <i className="inline-block h-[3px] w-6 bg-plum" /> jet's slit
          </span>
        </p>
      )}
    </div>
  )
}
