import { useMemo } from 'react'
import type { Placement, Schemas } from '../api/client'
import { fixed } from '../ui/format'
import { placed } from './place'
import type { Projection } from './view'

type Map = Schemas['HeatMap']

/** A colour of the theme as red, green, blue. */
const colour = (name: string) => {
  const hex = getComputedStyle(document.documentElement).getPropertyValue(name).trim()
  return [1, 3, 5].map((i) => Number.parseInt(hex.slice(i, i + 2), 16))
}

/** The plate's temperature under the board's parts: a smooth picture, and lines of one temperature. */
export function HeatLayer({
  map,
  placement,
  p,
  quiet,
}: {
  map: Map
  placement: Placement
  p: Projection
  /** Without the lines' figures. */
  quiet?: boolean
}) {
  const theme = document.documentElement.dataset.theme
  // biome-ignore lint/correctness/useExhaustiveDependencies: another theme has other colours
  const picture = useMemo(() => paint(map), [map, theme])
  const [w, h] = [map.columns * map.stepXMm, map.rows * map.stepYMm]
  const [origin] = placed(placement, [[map.minX, map.minY]])
  const mirror = p.face === 'back' ? -1 : 1
  const clip = `plate-${map.columns}-${map.rows}`
  return (
    <g data-heat>
      <title>{`Plate from ${map.leastC.toFixed(0)} to ${map.mostC.toFixed(0)} °C`}</title>
      <clipPath id={clip}>
        <path d={p.path(map.outline as number[][])} />
      </clipPath>
      <g clipPath={`url(#${clip})`} opacity={0.82}>
        <image
          href={picture}
          width={w}
          height={h}
          preserveAspectRatio="none"
          transform={`translate(${p.x(origin[0])} ${p.y(origin[1])}) scale(${mirror * p.scale} ${-p.scale}) rotate(${placement.rotationDeg})`}
        />
      </g>
      {map.isolines.map((line) => (
        <path
          key={line.c}
          d={(line.lines as number[][][])
            .map(
              ([a, b]) =>
                `M${p.x(a[0]).toFixed(1)} ${p.y(a[1]).toFixed(1)}L${p.x(b[0]).toFixed(1)} ${p.y(b[1]).toFixed(1)}`,
            )
            .join('')}
          fill="none"
          stroke="var(--ink)"
          strokeOpacity={0.55}
          strokeWidth={1}
        />
      ))}
      {!quiet && labels(map, p).map((l) => <Label key={l.c} {...l} />)}
    </g>
  )
}

interface Figure {
  c: number
  x: number
  y: number
}

/** Each line's figure at its end furthest to the right, from the coolest line inward; where two would touch, the inner one goes without. */
function labels(map: Map, p: Projection) {
  const laid: Figure[] = []
  for (const line of map.isolines) {
    const points = (line.lines as number[][][]).map((s) => s[0])
    if (points.length === 0) continue
    const at = points.reduce((a, b) => (b[0] > a[0] ? b : a))
    const [x, y] = [p.x(at[0]) + 3, p.y(at[1]) - 3]
    if (!laid.some((o) => Math.abs(o.x - x) < 32 && Math.abs(o.y - y) < 16)) laid.push({ c: line.c, x, y })
  }
  return laid
}

const Label = ({ c, x, y }: Figure) => (
  <text
    x={x}
    y={y}
    className="num"
    fontSize={14}
    fill="var(--ink)"
    stroke="var(--board)"
    strokeWidth={3}
    paintOrder="stroke"
  >
    {fixed(c, c % 1 === 0 ? 0 : 1)}°
  </text>
)

/** One pixel a cell, row by row from the lowest; the browser smooths between them. */
function paint(map: Map) {
  const canvas = document.createElement('canvas')
  canvas.width = map.columns
  canvas.height = map.rows
  const draw = canvas.getContext('2d')
  if (!draw) return ''
  const image = draw.createImageData(map.columns, map.rows)
  // from the plate's coolest to its warmest
  const [cold, warm] = [colour('--mat'), colour('--copper')]
  const span = Math.max(1e-6, map.mostC - map.leastC)
  map.c.forEach((c, i) => {
    const share = c == null ? 0 : (c - map.leastC) / span
    for (let k = 0; k < 3; k++) image.data[i * 4 + k] = cold[k] + (warm[k] - cold[k]) * share
    // cells without metal take the coolest colour: the clip cuts them off, and no dark rim is blended in
    image.data[i * 4 + 3] = 255
  })
  draw.putImageData(image, 0, 0)
  return canvas.toDataURL()
}
