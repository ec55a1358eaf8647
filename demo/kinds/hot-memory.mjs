// A Tern 460 that runs as expected but for one memory chip: a film was left on its pad.
import { reading } from './shapes.mjs'

export const jobs = [
  {
    title: 'Tern 460, memory runs warm',
    client: 'Walk-in',
    bench: 'Bench A',
    board: 'tern-460-r2',
    block: 'brineworks-full-460',
    paste: 'grey-standard',
    by: 'QA',
    signedStations: 7,
    promisedInMin: 75,
    signedSteps: 4,
    readings: [
      reading('QA', 'before', 21.3, null, 92, 103, 88, 239, null),
      reading('QA', 'after', 21.4, 27, 41.2, 49, 38.2, 240, 3),
    ],
  },
]
