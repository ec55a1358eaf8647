/** Every view of the application, by path. */
export const views: [name: string, path: string][] = [
  ['benches', '/'],
  ...['match', 'kit', 'teardown', 'prep', 'pads', 'paste', 'mount', 'prove', 'care'].map((s): [string, string] => [s, `/job/1/${s}`]),
  ['match, clash', '/job/3/match'],
  ['prove, finished', '/job/5/prove'],
  ['bench mode, teardown', '/job/2/teardown/bench'],
  ['bench mode, mount', '/job/1/mount/bench'],
  ['cutting sheets', '/job/1/cutting'],
  ['library', '/library'],
  ['board', '/library/boards/tern-460-r2'],
  ['block', '/library/blocks/brineworks-full-460'],
  ['trace, start', '/library/trace'],
  ['trace', '/library/trace/1'],
  ['twin', '/library/twin'],
  ['target', '/target'],
  ['drawer', '/drawer'],
  ['instruments', '/instruments'],
]
