import { useEffect, useRef, useState } from 'react'
import type { Schemas } from '../../api/client'
import { fixed } from '../../ui/format'

const css = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(name).trim()

/** The film on the face, played from laid to home; bare places stay the die's own colour. */
export function FilmView({
  frames,
  width,
  height,
  widthMm,
  depthMm,
  label,
}: {
  frames: Schemas['FilmFrame'][]
  width: number
  height: number
  widthMm: number
  depthMm: number
  label: string
}) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const still = matchMedia('(prefers-reduced-motion: reduce)').matches
  const [at, setAt] = useState(still ? frames.length - 1 : 0)
  // biome-ignore lint/correctness/useExhaustiveDependencies: new frames play from the start
  useEffect(() => setAt(still ? frames.length - 1 : 0), [frames])
  useEffect(() => {
    if (at >= frames.length - 1) return
    const t = setTimeout(() => setAt(at + 1), 90)
    return () => clearTimeout(t)
  }, [at, frames])
  useEffect(() => {
    const c = canvas.current?.getContext('2d')
    const frame = frames[Math.min(at, frames.length - 1)]
    if (!c || !frame) return
    const colours: Record<string, string> = { '#': css('--copper'), '+': css('--copper-wash'), '.': css('--silicon') }
    const rows = frame.rows.length
    const columns = frame.rows[0].length
    c.clearRect(0, 0, width, height)
    frame.rows.forEach((row, j) => {
      for (let i = 0; i < columns; i++) {
        if (row[i] === ' ') continue
        c.fillStyle = colours[row[i]]
        c.fillRect(
          Math.floor((i * width) / columns),
          Math.floor(((rows - 1 - j) * height) / rows),
          Math.ceil(width / columns) + 1,
          Math.ceil(height / rows) + 1,
        )
      }
    })
  }, [at, frames, width, height])
  const frame = frames[Math.min(at, frames.length - 1)]
  return (
    <figure>
      <canvas
        ref={canvas}
        width={width}
        height={height}
        role="img"
        aria-label={label}
        className="block border-2 border-ink"
      />
      <figcaption className="num mt-1 flex items-center gap-2 text-[14.5px] text-soft">
        <span className="w-24">
          {frame.timeS < 10 ? fixed(frame.timeS, 1) : frame.timeS.toFixed(0)} s, {frame.gapUm.toFixed(0)} µm
        </span>
        <input
          type="range"
          min={0}
          max={frames.length - 1}
          value={Math.min(at, frames.length - 1)}
          onChange={(e) => setAt(Number(e.target.value))}
          aria-label={`${label}, moment`}
          className="min-w-0 flex-1 accent-copper"
        />
        <button type="button" className="min-h-6 px-1 text-copper underline" onClick={() => setAt(0)}>
          play
        </button>
      </figcaption>
      <span className="sr-only">
        {widthMm} by {depthMm} mm
      </span>
    </figure>
  )
}
