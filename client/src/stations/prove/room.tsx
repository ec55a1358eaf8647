import type { Room } from '../room'
import { ProveLedger } from './ProveLedger'
import { ProveOverlay } from './ProveOverlay'
import { type Heat, useHeat } from './useHeat'

export const room: Room<Heat> = {
  useOwn: ({ job, here }) => useHeat(job, here),
  Ledger: ProveLedger,
  Overlay: ProveOverlay,
  legend: <span>°C under load: expected | measured</span>,
  block: { lands: false, pockets: false },
  quiet: true,
  keys: ({ own }) => ({ m: () => own.show(!own.shown) }),
}
