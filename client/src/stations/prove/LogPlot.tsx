import { useEffect, useRef } from 'react'
import uPlot from 'uplot'
import { fixed } from '../../ui/format'
import 'uplot/dist/uPlot.min.css'

export interface Line {
  name: string
  unit: string
  values: (number | null)[]
}

const colours = ['--copper', '--plum', '--cool', '--amber', '--ink', '--soft']
const css = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(name).trim()

const span = (s: number) => (s < 120 ? `${Math.round(s)} s` : `${+(s / 60).toFixed(s < 600 ? 1 : 0)} min`)

/** Temperatures over time, the steady part shaded; drawn again as rows come. */
export function LogPlot({
  times,
  lines,
  steadyFromS,
}: {
  times: number[]
  lines: Line[]
  steadyFromS?: number | null
}) {
  const box = useRef<HTMLDivElement>(null)
  const plot = useRef<uPlot>(undefined)
  const from = useRef(steadyFromS)
  from.current = steadyFromS
  const key = lines.map((l) => l.name).join()
  // biome-ignore lint/correctness/useExhaustiveDependencies: the plot is made once for its lines and fed below
  useEffect(() => {
    const own = box.current!
    const u = new uPlot(
      {
        width: own.clientWidth,
        height: own.clientHeight,
        pxAlign: false,
        cursor: { drag: { x: false, y: false } },
        legend: { show: false },
        scales: { x: { time: false } },
        axes: [
          {
            stroke: css('--soft'),
            grid: { stroke: css('--rule'), width: 1 },
            incrs: [5, 10, 30, 60, 120, 300, 600, 1200, 1800, 3600, 7200],
            values: (_, v) => v.map(span),
            size: 28,
          },
          {
            stroke: css('--soft'),
            grid: { stroke: css('--rule'), width: 1 },
            values: (_, v) => v.map((x) => `${x}°`),
            size: 42,
          },
        ],
        series: [
          {},
          ...lines.map((l, i) => ({
            label: l.name,
            stroke: css(colours[i % colours.length]),
            width: 1.8,
            dash: i < colours.length ? undefined : [6, 4],
            spanGaps: false,
          })),
        ],
        hooks: {
          drawClear: [
            (p) => {
              const start = from.current
              if (start == null) return
              const [x, { left, top, width, height }] = [p.valToPos(start, 'x', true), p.bbox]
              p.ctx.fillStyle = css('--cool-wash')
              p.ctx.fillRect(Math.max(left, x), top, left + width - Math.max(left, x), height)
            },
          ],
        },
      },
      [times, ...lines.map((l) => l.values)] as uPlot.AlignedData,
      own,
    )
    plot.current = u
    const follow = new ResizeObserver(() => u.setSize({ width: own.clientWidth, height: own.clientHeight }))
    follow.observe(own)
    return () => {
      follow.disconnect()
      u.destroy()
    }
  }, [key])
  useEffect(() => {
    plot.current?.setData([times, ...lines.map((l) => l.values)] as uPlot.AlignedData)
  }, [times, lines])
  return (
    <div className="flex h-full min-h-0 gap-3">
      <div
        className="relative h-full min-w-0 flex-1 overflow-hidden"
        role="img"
        aria-label={`Log of ${lines.map((l) => l.name).join(', ')}`}
      >
        <div ref={box} className="absolute inset-0" />
      </div>
      <ul className="num flex w-32 shrink-0 flex-col justify-center gap-0.5 text-[15px]">
        {lines.map((l, i) => (
          <li key={l.name} className="flex items-baseline gap-1.5">
            <span
              className="h-0.5 w-4 shrink-0 self-center"
              style={{ background: `var(${colours[i % colours.length]})` }}
            />
            <span className="min-w-0 flex-1 truncate text-soft">{l.name}</span>
            <b>
              {fixed(
                l.values.findLast((v) => v != null),
                1,
              )}
            </b>
          </li>
        ))}
      </ul>
    </div>
  )
}
