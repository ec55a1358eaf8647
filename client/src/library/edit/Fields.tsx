import { useId, useState } from 'react'
import { useCaliper } from '../../api/instruments'
import { Button } from '../../ui/Button'
import { isType, type Json, keysOf, labelOf, type Shape, shapeAt, valueAt } from './shape'
import type { Edit } from './useEditor'

const look = 'mt-0.5 block w-full border border-rule bg-raised px-2 py-1 text-[16px] text-ink'
/** A figure without a unit; with one the server reads it. */
const plain = /^[+-]?\d*[.,]?\d+$/
const hidden = new Set(['format', 'version', 'notes'])

/** What an entry is called: its id, or what it is. */
export const nameOf = (v: Json, i: number) =>
  v?.id ?? v?.key ?? v?.name ?? v?.thread ?? v?.boardCode ?? v?.material ?? `${i + 1}`

/** Every field of one place of a document, by its published shape; lists lead on. */
export function Fields({
  root,
  shape,
  pointer,
  faults,
  onEdit,
  onOpen,
}: {
  root: Json
  shape: Shape
  pointer: string
  faults: Record<string, string>
  onEdit: (edits: Edit[]) => void
  onOpen: (pointer: string) => void
}) {
  const here = shapeAt(shape, pointer)
  const value = valueAt(root, pointer)
  if (!here) return null
  if (here.items && isType(here.items, 'object'))
    return (
      <ul>
        {((value ?? []) as Json[]).map((v, i) => (
          <li key={i} className="border-b border-rule/60">
            <button
              type="button"
              className="w-full py-1 text-left text-copper underline underline-offset-3"
              onClick={() => onOpen(`${pointer}/${i}`)}
            >
              {nameOf(v, i)}
            </button>
          </li>
        ))}
        <li className="pt-1.5">
          <Button onClick={() => onEdit([{ do: 'add', to: pointer }])}>Add one</Button>
        </li>
      </ul>
    )
  const entries = Object.entries(here.properties ?? {}).filter(
    ([k, s]) => !hidden.has(k) && (s.type || s.enum || s.$ref),
  )
  const deep = entries.filter(([, s]) => isType(s, 'object') || (s.items && isType(s.items, 'object')))
  return (
    <>
      <div className="grid grid-cols-2 gap-x-2 gap-y-1.5">
        {entries
          .filter((e) => !deep.includes(e))
          .map(([k, s]) => (
            <Field
              key={k}
              name={k}
              shape={s}
              value={value?.[k]}
              needed={!!here.required?.includes(k)}
              fault={faults[`${pointer}/${k}`]}
              onSet={(v) => onEdit([{ do: 'set', at: `${pointer}/${k}`, value: v }])}
            />
          ))}
      </div>
      {deep.length > 0 && (
        <ul className="mt-2">
          {deep.map(([k, s]) => {
            const count = s.items ? ((value?.[k] ?? []) as Json[]).length : undefined
            return (
              <li key={k} className="border-b border-rule/60">
                <button
                  type="button"
                  className="flex w-full items-baseline gap-2 py-1 text-left"
                  onClick={() => onOpen(`${pointer}/${k}`)}
                >
                  <span className="flex-1 text-copper underline underline-offset-3">{labelOf(k)}</span>
                  <span className="num text-soft">{count ?? (value?.[k] ? 'stated' : 'not stated')}</span>
                </button>
              </li>
            )
          })}
        </ul>
      )}
    </>
  )
}

function Field({
  name,
  shape,
  value,
  needed,
  fault,
  onSet,
}: {
  name: string
  shape: Shape
  value: Json
  needed: boolean
  fault?: string
  onSet: (v: unknown) => void
}) {
  const [waits, setWaits] = useState(false)
  useCaliper(waits, (r) => {
    setWaits(false)
    onSet(Math.round(r.mm * 100) / 100)
  })
  const field = useId()
  const label = labelOf(name)
  const wide = isType(shape, 'array') ? 'col-span-2' : ''
  const tone = fault ? 'border-plum' : ''
  const shown =
    value === undefined || value === null
      ? ''
      : Array.isArray(value)
        ? value.map((v) => (Array.isArray(v) ? v.join(', ') : v)).join('; ')
        : String(value)
  const said = (text: string) => {
    const t = text.trim()
    if (t === shown) return
    if (t === '') onSet(null)
    else if (isType(shape, 'array')) onSet(listOf(t, shape))
    else if (isType(shape, 'number') || isType(shape, 'integer')) onSet(plain.test(t) ? Number(t.replace(',', '.')) : t)
    else onSet(t)
  }
  const measured = /^(heightMm|diameterMm|widthMm|depthMm|thicknessMm)$/.test(name)
  return (
    <div className={`text-[13px] text-soft ${wide}`} title={shape.description}>
      <div className="flex min-h-6 items-end justify-between">
        <label htmlFor={field}>{label}</label>
        {measured && (
          <button
            type="button"
            aria-label={`Caliper for ${label}`}
            aria-pressed={waits}
            className={`min-h-6 px-1 ${waits ? 'text-copper' : 'underline underline-offset-2'}`}
            onClick={() => setWaits(!waits)}
          >
            {waits ? 'waits' : 'caliper'}
          </button>
        )}
      </div>
      {shape.enum ? (
        <select id={field} value={shown} onChange={(e) => onSet(e.target.value || null)} className={`${look} ${tone}`}>
          {(!needed || !shown) && <option value="" />}
          {shape.enum
            .filter((v) => v !== null)
            .map((v) => (
              <option key={v}>{v}</option>
            ))}
        </select>
      ) : isType(shape, 'boolean') ? (
        <input
          id={field}
          type="checkbox"
          checked={!!value}
          onChange={(e) => onSet(e.target.checked)}
          className="mt-1.5 block size-5"
        />
      ) : (
        <input
          id={field}
          key={shown}
          defaultValue={shown}
          placeholder={wide ? shape.description : undefined}
          aria-invalid={!!fault}
          onBlur={(e) => said(e.target.value)}
          onKeyDown={(e) => e.key === 'Enter' && said(e.currentTarget.value)}
          className={`${look} ${tone}`}
        />
      )}
      {fault && <p className="text-plum">{fault}</p>}
    </div>
  )
}

/** "1, 2; 3, 4" as points, "a; b" as words or figures. */
const listOf = (text: string, shape: Shape) => {
  const items = text.split(';').map((t) => t.trim())
  const of = shape.items
  if (of && isType(of, 'array')) return items.map((t) => t.split(',').map(Number))
  if (of && isType(of, 'number')) return items.map(Number)
  return items
}

/** The way down to a place, each step a way back up. */
export function Trail({ root, pointer, onOpen }: { root: Json; pointer: string; onOpen: (pointer: string) => void }) {
  const keys = keysOf(pointer)
  return (
    <nav aria-label="Place in the document" className="flex flex-wrap gap-x-1.5 text-[14px]">
      {['', ...keys.map((_, i) => `/${keys.slice(0, i + 1).join('/')}`)].map((p, i) => {
        const key = keys[i - 1]
        const words = i === 0 ? 'document' : /^\d+$/.test(key) ? nameOf(valueAt(root, p), Number(key)) : labelOf(key)
        return p === pointer ? (
          <b key={p}>{words}</b>
        ) : (
          <button key={p} type="button" className="text-copper underline underline-offset-3" onClick={() => onOpen(p)}>
            {words}
          </button>
        )
      })}
    </nav>
  )
}
