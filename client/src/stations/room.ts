import type { ReactNode } from 'react'
import type { Face, JobView } from '../api/client'
import type { Keys } from '../app/keys'
import type { Projection } from '../mat/view'
import type { Here } from './here'
import type { Steps } from './useSteps'

export type Tint = Record<string, 'plum' | 'amber' | 'copper' | 'cool'>

/** What every part of a room is given. `own` is what the room itself remembers while it is open. */
export interface RoomProps<Own = unknown> {
  job: JobView
  here: Here
  s: Steps
  face: Face
  selected?: string
  select: (id?: string) => void
  own: Own
}

export interface OverlayProps<Own = unknown> extends RoomProps<Own> {
  p: Projection
  /** Upper edge of the board, mm. */
  top: number
  /** Drawn to be read from a metre. */
  big?: boolean
}

/** How the block is laid over the board. */
export interface BlockLook {
  lands?: boolean
  pockets?: boolean
  fill?: boolean
}

/** One press at the bench that is a part of the step: a cut, a film. */
export interface AtHand {
  say: string
  done: string
  /** Parts lit for this press. */
  parts?: string[]
  /** Shown instead of the mat. */
  picture?: ReactNode
}

/** A view that takes the mat's place: a laboratory, a practice. */
export interface RoomView<Own> {
  open: string
  shows(here: Here): boolean
  View(p: RoomProps<Own> & { onClose: () => void }): ReactNode
}

/** A station as the traveller knows it: the same furniture in every room. */
export interface Room<Own = unknown> {
  /** What the room remembers while it is open, a hook. */
  useOwn(ctx: { job: JobView; here: Here; face: Face }): Own
  Ledger(p: RoomProps<Own>): ReactNode
  Overlay?(p: OverlayProps<Own>): ReactNode
  /** Under the mat. */
  Below?(p: RoomProps<Own>): ReactNode
  legend: ReactNode
  block?: BlockLook
  /** Parts to tint; the step's targets in copper when absent. */
  tint?(p: RoomProps<Own>): Tint
  /** Whether the mat shows how the bench lies at the step: what is over the board, which faces are clean. */
  lies?: boolean
  /** Whether the whole block has to be in view. */
  wide?: boolean
  /** Whether parts go unlabelled, because the overlay labels them. */
  quiet?: boolean
  view?: RoomView<Own>
  keys?(p: RoomProps<Own>): Keys
  /** Whether there is work for the hands: bench mode is offered. */
  hands?: boolean
  bench?: {
    /** What the next press is, when a step is done piece by piece. */
    atHand?(p: RoomProps<Own>, count: number): AtHand | null
    /** Beside the words. */
    Panel?(p: RoomProps<Own>): ReactNode
    /** Under the bench's mat. */
    Below?(p: RoomProps<Own>): ReactNode
    /** Points to look at closely, mm; the whole board when absent. */
    focus?(p: RoomProps<Own>): number[][] | undefined
  }
}

/** A room that remembers nothing. */
export const nothing = () => undefined
