/** What somebody can say that a part is, those that a block cools first. */
export const partKinds = [
  'die',
  'lid',
  'memory',
  'power-stage',
  'inductor',
  'bridge-chip',
  'controller',
  'capacitor',
  'connector',
  'cover',
  'other',
] as const
