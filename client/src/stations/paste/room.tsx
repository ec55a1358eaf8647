import { lazy } from 'react'
import { nothing, type Room } from '../room'
import { PasteLedger } from './PasteLedger'
import { PasteOverlay } from './PasteOverlay'

const SqueezeLab = lazy(() => import('./SqueezeLab').then((m) => ({ default: m.SqueezeLab })))

export const room: Room = {
  useOwn: nothing,
  Ledger: PasteLedger,
  Overlay: PasteOverlay,
  legend: <span>film at the die's corners, µm</span>,
  block: {},
  view: {
    open: 'Compare patterns',
    shows: (here) => here.faces.length > 0,
    View: ({ job, here, onClose }) => <SqueezeLab job={job} here={here} onClose={onClose} />,
  },
}
