import type { Room } from '../room'
import { LogPanel } from './LogPanel'
import { ProveLedger } from './ProveLedger'
import { ProveOverlay } from './ProveOverlay'
import { Trainer } from './Trainer'
import { type Heat, useHeat } from './useHeat'
import { type Logs, useLogs } from './useLogs'

/** What the room remembers: the heat that is tried, and the log that is looked at. */
export interface ProveOwn extends Heat {
  logs: Logs
}

export const room: Room<ProveOwn> = {
  useOwn: ({ job, here }) => ({ ...useHeat(job, here), logs: useLogs(job, here) }),
  Ledger: ProveLedger,
  Overlay: ProveOverlay,
  Below: LogPanel,
  legend: <span>°C under load: expected | measured</span>,
  block: { lands: false, pockets: false },
  quiet: true,
  view: {
    open: 'Find a hidden fault',
    shows: (here) => !!here.seating?.dies.length && here.block?.flow != null,
    View: Trainer,
  },
  keys: ({ own }) => ({ m: () => own.show(!own.shown) }),
}
