import { landMark, plateMark } from '../marks'
import { nothing, type Room } from '../room'
import { DecisionView } from '../seat/DecisionView'
import { MatchLedger } from './MatchLedger'
import { MatchOverlay } from './MatchOverlay'

export const room: Room = {
  useOwn: nothing,
  Ledger: MatchLedger,
  Overlay: MatchOverlay,
  legend: (
    <>
      {plateMark}
      {landMark}
    </>
  ),
  block: { fill: true, lands: true, pockets: true },
  wide: true,
  view: {
    open: 'Lid on beside lid off',
    shows: (here) => !!here.seat?.section,
    View: DecisionView,
  },
  tint: ({ here }) =>
    Object.fromEntries([
      ...(here.fit?.uncovered ?? []).map((id) => [id, 'amber']),
      ...(here.fit?.tight ?? []).map((t) => [t.part, 'amber']),
      ...(here.fit?.clashes ?? []).map((c) => [c.part, 'plum']),
    ]),
}
