import { nothing, type Room, type RoomProps } from '../room'
import { WayBackOverlay } from '../teardown/TeardownOverlay'
import { TrayMap } from '../teardown/TrayMap'
import { CareLedger } from './CareLedger'

/** The way back to stock as a room of the bench. */
export const wayBack: Room = {
  useOwn: nothing,
  Ledger: CareLedger,
  Overlay: WayBackOverlay,
  legend: <span>screws by drive, in order</span>,
  hands: true,
  bench: { Below: Tray },
}

function Tray({ here, s }: RoomProps) {
  return here.teardown ? (
    <div className="bg-card p-3">
      <TrayMap tray={here.teardown.tray} lit={s.step?.targets} big />
    </div>
  ) : null
}
