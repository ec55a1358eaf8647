import type { ReactNode } from 'react'

/** A drawing of its own size, smaller in a column too narrow for it. */
export const Drawing = (p: { width: number; height: number; label: string; children: ReactNode }) => (
  <svg
    viewBox={`0 0 ${p.width} ${p.height}`}
    width={p.width}
    className="h-auto max-w-full"
    role="img"
    aria-label={p.label}
  >
    {p.children}
  </svg>
)
