import { shopZone } from '../api/shopClock'
import { figures } from './figures'

/** A figure with so many places and the shop's decimal mark. */
export function fixed(v: number, digits: number): string
export function fixed(v: number | null | undefined, digits: number): string | undefined
export function fixed(v: number | null | undefined, digits: number) {
  const text = v?.toFixed(digits)
  return figures.comma ? text?.replace('.', ',') : text
}

export const mm = (v: number, digits = 2) => fixed(v, digits)

/** A figure or a range in millimetres as it is in inches. */
export const inInches = (mm: unknown) =>
  String(mm).replace(/\d+(?:[.,]\d+)?/g, (t) => fixed(Number(t.replace(',', '.')) / 25.4, 3))

export const clock = (iso?: string | null) =>
  iso ? new Date(iso).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit', timeZone: shopZone() }) : ''
export const day = (iso?: string | null) =>
  iso ? new Date(iso).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', timeZone: shopZone() }) : ''
export const percent = (v: number) => `${Math.round(v * 100)}`
export const range = (a: number, b: number, f: (v: number) => string) => (f(a) === f(b) ? f(a) : `${f(a)}–${f(b)}`)
export const stationName = (s: string) => capital(s)

/** Minutes and seconds left until an instant; negative when it is past. */
export function left(endsAt: string, now: number) {
  const s = Math.round((Date.parse(endsAt) - now) / 1000)
  const a = Math.abs(s)
  const text =
    a >= 3600
      ? `${Math.floor(a / 3600)}:${String(Math.floor((a % 3600) / 60)).padStart(2, '0')} h`
      : `${String(Math.floor(a / 60)).padStart(2, '0')}:${String(a % 60).padStart(2, '0')}`
  return { text, over: s <= 0 }
}
export const capital = (t: string) => (t ? t[0].toUpperCase() + t.slice(1) : t)

/** A wait as it is said on a button. */
export const wait = (seconds: number) => (seconds >= 120 ? `${Math.round(seconds / 60)} min` : `${seconds} s`)
