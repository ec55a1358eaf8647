import { useState } from 'react'
import { Section } from '../../stations/Ledger'
import { Button } from '../../ui/Button'
import { FigureField, figureOf as figure } from '../../ui/FigureField'
import type { Edit, Editor } from './useEditor'

/** What can be done with what is chosen: more of it in a row, mirrored, turned, taken out. */
export function Tools({ editor }: { editor: Editor }) {
  const [row, setRow] = useState({ count: '', x: '', y: '' })
  const [about, setAbout] = useState('')
  const { selected: at, apply } = editor
  const field = (label: string, value: string, set: (v: string) => void) => (
    <FigureField label={label} value={value} onChange={set} />
  )
  const one = (edit: Edit) => void apply([edit])
  return (
    <Section title={at.length === 1 ? 'More like it' : `${at.length} chosen`}>
      {at.length === 1 && (
        <div className="grid grid-cols-[1fr_1fr_1fr_auto] items-end gap-2">
          {field('how many', row.count, (count) => setRow({ ...row, count }))}
          {field('step x, mm', row.x, (x) => setRow({ ...row, x }))}
          {field('step y, mm', row.y, (y) => setRow({ ...row, y }))}
          <Button
            disabled={!row.count || !(row.x || row.y)}
            onClick={() => one({ do: 'row', at: at[0], count: figure(row.count), x: figure(row.x), y: figure(row.y) })}
          >
            Add row
          </Button>
        </div>
      )}
      <div className="mt-2 grid grid-cols-[1fr_auto_auto] items-end gap-2">
        {field('mirror line at, mm', about, setAbout)}
        <Button disabled={!about} onClick={() => one({ do: 'mirror', at, across: 'x', about: figure(about) })}>
          Left to right
        </Button>
        <Button disabled={!about} onClick={() => one({ do: 'mirror', at, across: 'y', about: figure(about) })}>
          Top to bottom
        </Button>
      </div>
      <div className="mt-2 flex flex-wrap gap-2">
        <Button keyName="R" onClick={() => one({ do: 'turn', at, deg: 90 })}>
          Turn 90°
        </Button>
        <Button keyName="Del" onClick={() => void apply([{ do: 'remove', at }], () => [])}>
          Take out
        </Button>
      </div>
    </Section>
  )
}
