import type { Schemas } from '../api/client'

export const verdictWords: Record<Schemas['Verdict'], string> = {
  seats: 'Seats',
  'seats-with-work': 'Seats with work',
  unproven: 'Unproven',
  clashes: 'Clashes',
}
export const verdictColour: Record<Schemas['Verdict'], string> = {
  seats: 'text-cool',
  'seats-with-work': 'text-amber',
  unproven: 'text-amber',
  clashes: 'text-plum',
}

/** A shape for each verdict, so that colour is never alone: closed ring, ring with a notch, open ring, crossed ring. */
export function VerdictMark({ verdict, size = 18 }: { verdict: Schemas['Verdict']; size?: number }) {
  return (
    <svg
      viewBox="0 0 20 20"
      width={size}
      height={size}
      className={verdictColour[verdict]}
      aria-hidden
      fill="none"
      stroke="currentColor"
      strokeWidth="2.6"
    >
      {verdict === 'seats' && (
        <>
          <circle cx="10" cy="10" r="7.5" />
          <circle cx="10" cy="10" r="2.6" fill="currentColor" stroke="none" />
        </>
      )}
      {verdict === 'seats-with-work' && (
        <>
          <path d="M10 2.5A7.5 7.5 0 1 0 17.5 10" />
          <path d="M13 3.2l3.8 3.8" />
        </>
      )}
      {verdict === 'unproven' && <circle cx="10" cy="10" r="7.5" strokeDasharray="4 3.9" />}
      {verdict === 'clashes' && (
        <>
          <circle cx="10" cy="10" r="7.5" />
          <path d="M5 15L15 5" />
        </>
      )}
    </svg>
  )
}
