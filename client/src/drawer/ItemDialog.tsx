import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { fetched, ifMatch, type Refusal, told } from '../api/client'
import { useInitials } from '../app/settings'
import { Fields, Trail } from '../library/edit/Fields'
import type { Json, Shape } from '../library/edit/shape'
import type { Edit } from '../library/edit/useEditor'
import { Button } from '../ui/Button'
import { Dialog } from '../ui/Dialog'
import { ItemPast } from './ItemPast'
import { Weighed } from './Weighed'

export type Kind = 'pad' | 'paste' | 'screw' | 'tool' | 'consumable' | 'material'

const started: Record<Kind, Json> = {
  pad: {},
  paste: { material: {} },
  screw: {},
  tool: {},
  consumable: {},
  material: {},
}

/** One line of the drawer: written new, changed, or taken out. */
export function ItemDialog({
  kind,
  item,
  version,
  onClose,
}: {
  kind: Kind
  /** Null writes a new one. */
  item: Json | null
  version: number
  onClose: () => void
}) {
  const [value, setValue] = useState<Json>(item ?? started[kind])
  const [open, setOpen] = useState('')
  const [faults, setFaults] = useState<Record<string, string>>({})
  const client = useQueryClient()
  const [by] = useInitials()
  const shape = useQuery({
    queryKey: ['shape', 'drawer'],
    queryFn: () => fetched<Shape>('/formats/drawer-1.schema.json'),
    staleTime: Number.POSITIVE_INFINITY,
  }).data?.properties?.[kind]
  const set = (edits: Edit[]) => {
    const next = structuredClone(value)
    for (const e of edits)
      if (e.do === 'set') {
        const keys = e.at.slice(1).split('/')
        const parent = keys.slice(0, -1).reduce((v, k) => (v[k] ??= {}), next)
        if (e.value === null) delete parent[keys[keys.length - 1]]
        else parent[keys[keys.length - 1]] = e.value
      }
    setValue(next)
  }
  const say = async (how: () => Promise<unknown>) => {
    try {
      await how()
      await client.invalidateQueries()
      onClose()
    } catch (e) {
      const refused = e as Refusal
      setFaults(
        refused.errors?.length
          ? Object.fromEntries(refused.errors.map((f) => [f.pointer, f.message]))
          : { '': told(e) },
      )
    }
  }
  const signed = by ? `?by=${encodeURIComponent(by)}` : ''
  const address = `/api/drawer/${kind}/${encodeURIComponent(item?.id ?? value.id ?? '')}${signed}`
  const headers = { 'Content-Type': 'application/json', ...ifMatch(version) }
  return (
    <Dialog open onClose={onClose} title={item ? `${kind} ${item.id}` : `New ${kind}`}>
      {open && <Trail root={value} pointer={open} onOpen={setOpen} />}
      {shape && <Fields root={value} shape={shape} pointer={open} faults={faults} onEdit={set} onOpen={setOpen} />}
      {kind === 'material' && <Weighed onCurve={(curve) => set([{ do: 'set', at: '/curve', value: curve }])} />}
      {item && <ItemPast kind={kind} id={item.id} />}
      {faults[''] && (
        <p role="alert" className="mt-2 text-plum">
          {faults['']}
        </p>
      )}
      <div className="mt-4 flex flex-wrap gap-3">
        <Button
          kind="go"
          disabled={!value.id}
          onClick={() => void say(() => fetched(address, { method: 'PUT', headers, body: JSON.stringify(value) }))}
        >
          {item ? 'Keep' : 'Add to the drawer'}
        </Button>
        {item && (
          <>
            <Button
              onClick={() =>
                void say(() =>
                  fetched(address.replace(/(\?|$)/, '/archived$1'), {
                    method: 'PUT',
                    headers,
                    body: JSON.stringify({ archived: true }),
                  }),
                )
              }
            >
              Archive
            </Button>
            <Button onClick={() => void say(() => fetched(address, { method: 'DELETE', headers }))}>Take it out</Button>
          </>
        )}
        <Button onClick={onClose}>Leave it</Button>
      </div>
    </Dialog>
  )
}
