import { lazy, useState } from 'react'
import { holesOf, placed } from '../../mat/place'
import { capital } from '../../ui/format'
import type { AtHand, OverlayProps, Room, RoomProps } from '../room'
import { doneOf, turnNow } from '../stepLogic'
import { BowLayer, type BowShown } from './BowLayer'
import { MountLedger } from './MountLedger'
import { MountOverlay } from './MountOverlay'
import { TurnPanel } from './TurnPanel'

const Practice = lazy(() => import('./Practice').then((m) => ({ default: m.Practice })))

/** Which bow is drawn on the mat. */
export interface BowChoice {
  bow?: BowShown
  show: (b?: BowShown) => void
}

export const room: Room<BowChoice> = {
  useOwn: () => {
    const [bow, show] = useState<BowShown>()
    return { bow, show }
  },
  Ledger: MountLedger,
  Overlay: Overlay,
  legend: <span>screws by drive, in order</span>,
  lies: true,
  wide: true,
  hands: true,
  view: {
    open: 'Practise it first',
    shows: (here) => !!here.tightening,
    View: ({ job, here, onClose }) => <Practice job={job} here={here} onClose={onClose} />,
  },
  bench: { Panel: TurnPanel, focus: ringNear, atHand },
}

function Overlay(props: OverlayProps<BowChoice>) {
  return (
    <>
      {props.own.bow && !props.big && <BowLayer job={props.job} here={props.here} which={props.own.bow} p={props.p} />}
      <MountOverlay {...props} />
    </>
  )
}

/** The screw of the pass that is turned next, how far, and what is special about it. */
function atHand({ s }: RoomProps<BowChoice>, count: number): AtHand | null {
  const { step } = s
  if (step?.kind === 'lower' && step.count != null)
    return count < step.count
      ? { say: `Outer film ${count + 1} of ${step.count} off`, done: `Film ${count + 1} off` }
      : { say: `All ${step.count} outer films are off`, done: step.done }
  const turn = turnNow(s.step, count)
  if (!s.step || !turn) return null
  const driver = turn.driver && turn.driver !== s.step.driver ? ` (${turn.driver})` : ''
  return {
    say: `${capital(turn.thing)} ${turn.number}${driver}, ${turn.where}: ${turn.howFar}${turn.caution ? `. ${turn.caution}` : ''}`,
    done: doneOf(s.step, count),
  }
}

/** Round the die while its ring is turned, else the whole board. */
function ringNear({ here, s }: RoomProps<BowChoice>): number[][] | undefined {
  const turn = turnNow(s.step, s.count)
  if (!turn || !here.block) return undefined
  const holes = holesOf(here.block).filter((h) => h.role === 'retention')
  if (!holes.some((h) => h.id === turn.hole)) return undefined
  const [left, up] = [14, 12]
  return holes
    .map((h) => placed(here.placement, [[h.x, h.y]])[0])
    .flatMap(([x, y]) => [
      [x - left, y - up],
      [x + left, y + up],
    ])
}
