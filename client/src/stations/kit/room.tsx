import { nothing, type Room } from '../room'
import { KitLedger } from './KitLedger'

export const room: Room = { useOwn: nothing, Ledger: KitLedger, legend: <span>bare board</span> }
