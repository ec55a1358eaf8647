import { useCallback, useEffect, useRef, useState } from 'react'
import type { Face } from '../api/client'

export interface Box {
  minX: number
  minY: number
  maxX: number
  maxY: number
}

/** Maps millimetres on the board to pixels on the mat. The back is seen mirrored, as it lies when the board is turned over. */
export interface Projection {
  x: (mm: number) => number
  y: (mm: number) => number
  /** Pixels per millimetre. */
  scale: number
  width: number
  height: number
  face: Face
  path: (points: number[][]) => string
}

export function boxOf(points: number[][]): Box {
  const xs = points.map((p) => p[0])
  const ys = points.map((p) => p[1])
  return { minX: Math.min(...xs), minY: Math.min(...ys), maxX: Math.max(...xs), maxY: Math.max(...ys) }
}

/** Size of an element, followed as it changes. */
export function useSize() {
  const ref = useRef<HTMLDivElement>(null)
  const [size, set] = useState({ width: 0, height: 0 })
  useEffect(() => {
    if (!ref.current) return
    const o = new ResizeObserver(([e]) =>
      set({ width: Math.round(e.contentRect.width), height: Math.round(e.contentRect.height) }),
    )
    o.observe(ref.current)
    return () => o.disconnect()
  }, [])
  return { ref, ...size }
}

/** Pan and zoom over a box in millimetres that is fitted at first. */
export function useView(
  box: Box,
  width: number,
  height: number,
  face: Face,
  margin = { left: 34, top: 34, right: 20, bottom: 48 },
) {
  const [view, setView] = useState<{ cx: number; cy: number; zoom: number }>({
    cx: (box.minX + box.maxX) / 2,
    cy: (box.minY + box.maxY) / 2,
    zoom: 1,
  })
  const key = `${box.minX},${box.minY},${box.maxX},${box.maxY}`
  // biome-ignore lint/correctness/useExhaustiveDependencies: the key says the box
  const fit = useCallback(
    () => setView({ cx: (box.minX + box.maxX) / 2, cy: (box.minY + box.maxY) / 2, zoom: 1 }),
    [key],
  )
  useEffect(fit, [fit])
  const w = Math.max(50, width - margin.left - margin.right)
  const h = Math.max(50, height - margin.top - margin.bottom)
  const scale = Math.min(w / (box.maxX - box.minX), h / (box.maxY - box.minY)) * view.zoom
  const mirror = face === 'back' ? -1 : 1
  const x = (v: number) => margin.left + w / 2 + mirror * (v - view.cx) * scale
  const y = (v: number) => margin.top + h / 2 - (v - view.cy) * scale
  const projection: Projection = {
    x,
    y,
    scale,
    width,
    height,
    face,
    path: (points) => `M${points.map((p) => `${x(p[0]).toFixed(1)} ${y(p[1]).toFixed(1)}`).join('L')}Z`,
  }
  return {
    projection,
    fit,
    zoomBy: (k: number) => setView((v) => ({ ...v, zoom: Math.min(12, Math.max(0.4, v.zoom * k)) })),
    panBy: (dxPx: number, dyPx: number) =>
      setView((v) => ({ ...v, cx: v.cx - (mirror * dxPx) / scale, cy: v.cy + dyPx / scale })),
  }
}
