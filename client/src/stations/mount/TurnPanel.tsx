import type { RoomProps } from '../room'
import { DriverPanel } from './DriverPanel'
import type { BowChoice } from './room'

/** The torque driver beside a step that turns a screw. */
export function TurnPanel({ job, s }: RoomProps<BowChoice>) {
  return s.step?.turn ? <DriverPanel jobId={job.id} step={s.step} s={s} /> : null
}
