import type { Station } from '../api/client'
import { room as care } from './care/room'
import { room as kit } from './kit/room'
import { room as match } from './match/room'
import { room as mount } from './mount/room'
import { room as pads } from './pads/room'
import { room as paste } from './paste/room'
import { room as prep } from './prep/room'
import { room as prove } from './prove/room'
import type { Room } from './room'
import { room as teardown } from './teardown/room'

/** The nine rooms in working order. What a room remembers is its own affair. */
export const rooms: Record<Station, Room> = {
  match,
  kit,
  teardown,
  prep,
  pads,
  paste,
  mount,
  prove,
  care,
}

export const stations = Object.keys(rooms) as Station[]
