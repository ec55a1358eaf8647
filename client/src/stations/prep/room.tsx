import { nothing, type Room } from '../room'
import { PrepLedger } from './PrepLedger'

export const room: Room = {
  useOwn: nothing,
  Ledger: PrepLedger,
  legend: <span>hatched: to clean; blue-green: clean</span>,
  lies: true,
  hands: true,
}
