// Two Tern 460 side by side in one machine, a rigid link at each pair of ports.
import { reading, save } from './shapes.mjs'

const link = (p) => ({ from: { card: 'A', port: p }, to: { card: 'B', port: p }, minMm: 56, maxMm: 66, offsetMm: 1.5 })
save('machines', 'two-tern-460.machine.json', {
  format: 'faithful-bracket/machine',
  version: 1,
  id: 'two-tern-460',
  name: 'Two Tern 460, harbour model basin',
  slots: 7,
  slotPitchMm: 20.32,
  cards: [
    { key: 'A', board: 'tern-460-r2', block: 'brineworks-full-460', slot: 1 },
    { key: 'B', board: 'tern-460-r2', block: 'brineworks-full-460', slot: 4 },
  ],
  links: [link('A'), link('B')],
})
export const jobs = [
  {
    title: 'Two Tern 460 in one machine',
    client: 'Model basin',
    bench: 'Bench B',
    machine: 'two-tern-460',
    paste: 'grey-standard',
    by: 'ML',
    signedStations: 7,
    signedSteps: 1,
    readings: [reading('ML', 'before', 21.5, null, 92, 103, 88, 238, null)],
  },
]
