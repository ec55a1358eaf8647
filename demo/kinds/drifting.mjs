// A card that came back to be proved four times over its first year: its paste dries slowly, and the drift says when it is due.
import { reading } from './shapes.mjs'

const proof = (daysAgo, coolant, die, power) => ({
  ...reading('ML', 'after', 21.5, coolant, die, die + 8, 38, power, 3),
  daysAgo,
})

export const jobs = [
  {
    title: 'Tern 460, a year on',
    client: 'Harbour office',
    bench: 'Shelf',
    board: 'tern-460-r2',
    block: 'brineworks-full-460',
    paste: 'grey-standard',
    by: 'ML',
    signedStations: 8,
    lastMinAgo: 525600,
    signedSteps: 1,
    readings: [
      { ...reading('ML', 'before', 21.3, null, 92, 103, 88, 239, null), daysAgo: 372 },
      proof(371, 29.6, 46.2, 240),
      proof(280, 30.4, 47.7, 241),
      proof(187, 28.9, 46.4, 239),
      proof(95, 31.2, 49.2, 240),
      proof(4, 30.1, 48.6, 240),
    ],
  },
]
