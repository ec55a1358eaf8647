import { nothing, type Room } from '../room'
import { ProveLedger } from './ProveLedger'
import { ProveOverlay } from './ProveOverlay'

export const room: Room = {
  useOwn: nothing,
  Ledger: ProveLedger,
  Overlay: ProveOverlay,
  legend: <span>°C under load</span>,
  block: {},
}
