import { nothing, type Room } from '../room'
import { CareLedger } from './CareLedger'

export const room: Room = { useOwn: nothing, Ledger: CareLedger, legend: <span>as built</span> }
