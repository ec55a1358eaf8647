import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { answer, http, type JobView, type Schemas } from '../../api/client'
import { useSize } from '../../mat/view'
import { fixed } from '../../ui/format'
import { asked, type Here } from '../here'

export type Line = { x1: number; y1: number; x2: number; y2: number }
const looks: Record<Schemas['SectionLayer'], { fill: string; stroke: string }> = {
  board: { fill: 'var(--board)', stroke: 'var(--ink)' },
  part: { fill: 'var(--metal)', stroke: 'var(--part-line)' },
  pad: { fill: 'var(--hatch)', stroke: 'var(--hatch-line)' },
  paste: { fill: 'var(--cool)', stroke: 'var(--cool)' },
  plate: { fill: 'var(--copper-wash)', stroke: 'var(--copper)' },
}
const factors = [1, 2, 3, 4, 5, 8, 10, 15, 20]

/** The stack cut through along a line: lengths to scale, heights drawn taller by a stated factor. */
export function SectionView({
  job,
  here,
  line,
  onClose,
}: {
  job: JobView
  here: Here
  line: Line
  onClose: () => void
}) {
  const { ref, width, height } = useSize()
  const cut = useQuery({
    queryKey: ['section', job.id, job.version, job.sheets.versions, line, here.pairKey, here.boardKey],
    queryFn: () =>
      answer(
        http.GET('/api/jobs/{id}/section', { params: { path: { id: job.id }, query: { ...line, ...asked(here) } } }),
      ),
    placeholderData: keepPreviousData,
  })
  const shapes = cut.data?.shapes ?? []
  const all = shapes.flatMap((x) => x.points as number[][])
  const low = Math.min(0, ...all.map((p) => p[1]))
  const high = Math.max(1, ...all.map((p) => p[1]))
  const scale = Math.max(0.1, (width - 56) / (cut.data?.lengthMm ?? 1))
  const tall = [...factors].reverse().find((f) => (high - low) * scale * f <= height - 52) ?? 1
  const x = (v: number) => 40 + v * scale
  const y = (v: number) => height - 26 - (v - low) * scale * tall
  const gaps = cut.data?.gaps ?? []
  return (
    <section aria-label="Section" className="flex h-[46%] min-h-0 flex-col border-t-2 border-copper bg-card">
      <header className="flex items-baseline gap-4 px-4 pt-2">
        <b className="text-[17px]">Section, {(cut.data?.lengthMm ?? 0).toFixed(0)} mm long</b>
        <span className="text-[14px] text-soft">heights drawn {tall} times as tall as lengths</span>
        <span className="flex-1" />
        <button type="button" className="min-h-8 px-2 text-copper underline underline-offset-3" onClick={onClose}>
          Close the section
        </button>
      </header>
      <div ref={ref} className="relative min-h-0 flex-1">
        {width > 0 && cut.data && (
          <svg
            width={width}
            height={height}
            className="absolute inset-0"
            role="img"
            aria-label={gaps.map((g) => g.text).join(' ') || 'Bare board'}
          >
            {[0, 1, 2, 3, 4, 5]
              .filter((v) => v <= high && (v % 2 === 0 || scale * tall > 14))
              .map((v) => (
                <g key={v}>
                  <path d={`M36 ${y(v)}H${width - 12}`} stroke="var(--rule)" strokeDasharray="2 4" />
                  <text x={6} y={y(v) + 5} fontSize={13} className="num" fill="var(--soft)">
                    {v} mm
                  </text>
                </g>
              ))}
            {(['plate', 'board', 'part', 'pad', 'paste'] as const).flatMap((layer) =>
              shapes
                .filter((s) => s.layer === layer)
                .map((s, i) => (
                  <path
                    key={layer + i}
                    d={`M${(s.points as number[][]).map((p) => `${x(p[0]).toFixed(1)} ${y(p[1]).toFixed(1)}`).join('L')}Z`}
                    fill={looks[layer].fill}
                    stroke={looks[layer].stroke}
                    strokeWidth={layer === 'paste' ? 2.5 : 1.4}
                  />
                )),
            )}
            {gaps
              .filter((g) => g.padMm != null || g.gapMm < 0)
              .map((g) => (
                <g key={g.part}>
                  <path d={`M${x(g.atMm)} ${y(0) + 2}V${y(low) + 4}`} stroke={tone(g)} />
                  <text
                    x={x(g.atMm)}
                    y={y(low) + 18}
                    textAnchor="middle"
                    className="num"
                    fontSize={15}
                    fontWeight={600}
                    fill={tone(g)}
                  >
                    {g.part} {fixed(g.gapMm, 2)}
                  </text>
                </g>
              ))}
          </svg>
        )}
      </div>
      <p className="num px-4 pb-1.5 text-[15px] leading-tight">
        {gaps
          .filter((g) => g.padMm != null || g.gapMm < 0.5)
          .slice(0, 4)
          .map((g) => g.text)
          .join(' ')}
      </p>
    </section>
  )
}

const tone = (g: Schemas['SectionGap']) =>
  g.gapMm < 0 || (g.squash != null && g.squash <= 0) ? 'var(--plum)' : 'var(--ink)'
