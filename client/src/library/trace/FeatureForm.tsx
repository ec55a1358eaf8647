import { useState } from 'react'
import type { Schemas } from '../../api/client'
import { useCaliper } from '../../api/instruments'
import { Section } from '../../stations/Ledger'
import { Button } from '../../ui/Button'
import { partKinds } from '../partKinds'

type Feature = Schemas['PhotoFeature']
const roles = ['retention', 'perimeter', 'bracket', 'standoff'] as const
const look = 'mt-0.5 block w-full border border-rule bg-raised px-2 py-1 text-[16px] text-ink'

/** Name, sort and caliper values of one hole or part. */
export function FeatureForm({
  feature: f,
  within,
  taken,
  onChange,
  onRemove,
  onMirror,
}: {
  feature: Feature
  within: string
  taken: string[]
  onChange: (f: Feature) => void
  onRemove: () => void
  onMirror?: () => void
}) {
  const [waits, setWaits] = useState(false)
  useCaliper(waits, (r) => {
    setWaits(false)
    onChange(
      f.isHole ? { ...f, diameterMm: Math.round(r.mm * 100) / 100 } : { ...f, heightMm: Math.round(r.mm * 100) / 100 },
    )
  })
  const number = (label: string, value: number | null | undefined, set: (v: number) => Feature) => (
    <label className="block text-[13px] text-soft">
      {label}
      <input
        key={`${f.id}${value}`}
        defaultValue={value ?? ''}
        inputMode="decimal"
        className={`num ${look}`}
        onBlur={(e) => {
          const v = Number(e.target.value.replace(',', '.'))
          if (e.target.value.trim() && Number.isFinite(v) && v !== value) onChange(set(v))
        }}
        onKeyDown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
      />
    </label>
  )
  return (
    <Section title={`${f.isHole ? 'Hole' : 'Part'} ${f.id}, ${within} mm`}>
      <div className="grid grid-cols-2 gap-2">
        <label className="block text-[13px] text-soft">
          name
          <input
            key={f.id}
            defaultValue={f.id}
            className={look}
            onBlur={(e) => {
              const v = e.target.value.trim()
              if (v && v !== f.id && !taken.includes(v)) onChange({ ...f, id: v })
            }}
            onKeyDown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
          />
        </label>
        {f.isHole ? (
          <>
            <label className="block text-[13px] text-soft">
              for
              <select
                value={f.role ?? 'perimeter'}
                className={look}
                onChange={(e) => onChange({ ...f, role: e.target.value as Feature['role'] })}
              >
                {roles.map((r) => (
                  <option key={r}>{r}</option>
                ))}
              </select>
            </label>
            {number('Ø by photo or caliper, mm', f.diameterMm, (v) => ({ ...f, diameterMm: v }))}
          </>
        ) : (
          <>
            <label className="block text-[13px] text-soft">
              kind
              <select
                value={f.kind ?? 'other'}
                className={look}
                onChange={(e) => onChange({ ...f, kind: e.target.value as Feature['kind'] })}
              >
                {partKinds.map((k) => (
                  <option key={k}>{k}</option>
                ))}
              </select>
            </label>
            {number('height by caliper, mm', f.heightMm, (v) => ({ ...f, heightMm: v }))}
            {number('± mm, empty: caliper', f.heightTolMm, (v) => ({ ...f, heightTolMm: v }))}
          </>
        )}
      </div>
      <div className="mt-2 flex flex-wrap gap-2">
        <Button kind={waits ? 'go' : 'plain'} aria-pressed={waits} onClick={() => setWaits(!waits)}>
          {waits ? 'Waits for the caliper' : 'Take it from the caliper'}
        </Button>
        {onMirror && <Button onClick={onMirror}>Add the other three</Button>}
        <Button onClick={onRemove}>Take it out</Button>
      </div>
    </Section>
  )
}
