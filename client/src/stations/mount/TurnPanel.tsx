import type { RoomProps } from '../room'
import { turnNow } from '../stepLogic'
import { DriverPanel } from './DriverPanel'
import type { BowChoice } from './room'

/** The torque driver beside a step that turns a screw. */
export function TurnPanel({ job, s }: RoomProps<BowChoice>) {
  const turn = turnNow(s.step, s.count)
  return s.step && turn?.target ? <DriverPanel jobId={job.id} step={s.step} turn={turn} s={s} /> : null
}
