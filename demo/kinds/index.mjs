// One set of documents and one job for each further kind of work.
import { jobs as bora } from './bora-b3.mjs'
import { jobs as drifting } from './drifting.mjs'
import { jobs as gannet } from './gannet-duo.mjs'
import { jobs as hotMemory } from './hot-memory.mjs'
import { jobs as lantern } from './lantern.mjs'
import { jobs as onePiece } from './levanter-one.mjs'
import { jobs as machine } from './machine.mjs'
import { jobs as shingle } from './shingle.mjs'
import { jobs as skuaPro } from './skua-pro.mjs'
import { jobs as cooledBack } from './tern-480.mjs'
import { jobs as module } from './tern-520.mjs'

export const kindJobs = [
  ...gannet,
  ...skuaPro,
  ...module,
  ...cooledBack,
  ...machine,
  ...onePiece,
  ...bora,
  ...shingle,
  ...lantern,
  ...hotMemory,
  ...drifting,
]
