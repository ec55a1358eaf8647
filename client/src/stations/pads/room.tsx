import { useState } from 'react'
import { landMark } from '../marks'
import type { Room, RoomProps } from '../room'
import { atHand } from './atHand'
import { PadsLedger } from './PadsLedger'
import { PadsOverlay } from './PadsOverlay'
import { type Line, SectionView } from './SectionView'

/** The section: whether the two points are being chosen, and the line once it is. */
export interface Slice {
  active: boolean
  setActive: (on: boolean) => void
  line?: Line
  setLine: (l?: Line) => void
  /** Parts lit at the bench. */
  lit?: string[]
}

export const room: Room<Slice> = {
  useOwn: () => {
    const [active, setActive] = useState(false)
    const [line, setLine] = useState<Line>()
    return { active, setActive, line, setLine }
  },
  Ledger: PadsLedger,
  Overlay: PadsOverlay,
  Below: Section,
  legend: (
    <>
      {landMark}
      <span>pad: letter, mm, squash %</span>
    </>
  ),
  block: { lands: true },
  quiet: true,
  tint: () => ({}),
  hands: true,
  keys: ({ own }) => ({
    x: () => own.setActive(!own.active),
    Escape: () => {
      own.setActive(false)
      own.setLine(undefined)
    },
  }),
  bench: { atHand },
}

function Section({ job, here, own }: RoomProps<Slice>) {
  if (!own.line) return null
  return <SectionView job={job} here={here} line={own.line} onClose={() => own.setLine(undefined)} />
}
