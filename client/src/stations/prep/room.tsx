import { nothing, type Room } from '../room'
import { PrepLedger } from './PrepLedger'

export const room: Room = { useOwn: nothing, Ledger: PrepLedger, legend: <span>faces to clean</span>, hands: true }
