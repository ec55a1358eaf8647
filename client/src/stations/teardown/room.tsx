import { useState } from 'react'
import { PlaceTool } from '../../mat/PlaceTool'
import type { OverlayProps, Room, RoomProps } from '../room'
import type { Strip } from './StripDesk'
import { TeardownLedger } from './TeardownLedger'
import { TeardownOverlay } from './TeardownOverlay'
import { TrayMap } from './TrayMap'

export const room: Room<Strip> = {
  useOwn: ({ face }) => {
    const [kept, set] = useState<{ on: boolean; places: [number, number][] }>({ on: false, places: [] })
    return { ...kept, set, face }
  },
  Ledger: TeardownLedger,
  Overlay: Overlay,
  legend: <span>screws by drive, in order</span>,
  lies: true,
  hands: true,
  bench: { Below: Tray },
}

function Overlay(props: OverlayProps<Strip>) {
  const { own, here, p } = props
  return (
    <>
      <TeardownOverlay {...props} />
      {own.on && (
        <PlaceTool
          p={p}
          board={here.board}
          places={own.places}
          onPlace={(at) => own.set({ on: true, places: [...own.places, at] })}
        />
      )}
    </>
  )
}

function Tray({ here, s }: RoomProps<Strip>) {
  return here.teardown ? (
    <div className="bg-card p-3">
      <TrayMap tray={here.teardown.tray} lit={s.step?.targets} big />
    </div>
  ) : null
}
