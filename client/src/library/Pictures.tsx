import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { answer, http, type Schemas } from '../api/client'
import { Section } from '../stations/Ledger'
import { Dialog } from '../ui/Dialog'

/** Pictures kept with a board or block: looked at large, added, taken out. */
export function Pictures({ what, id, name }: { what: 'boards' | 'blocks'; id: string; name: string }) {
  const client = useQueryClient()
  const key = ['pictures', what, id]
  const list =
    useQuery({
      queryKey: key,
      queryFn: () =>
        answer(
          http.GET(what === 'boards' ? '/api/boards/{id}/pictures' : '/api/blocks/{id}/pictures', {
            params: { path: { id } },
          }),
        ),
    }).data ?? []
  const [large, setLarge] = useState<Schemas['CataloguePicture']>()
  const [fault, setFault] = useState<string>()
  const add = async (file?: File) => {
    if (!file) return
    try {
      setFault(undefined)
      const response = await fetch(
        `/api/${what}/${encodeURIComponent(id)}/pictures?caption=${encodeURIComponent(file.name.replace(/\.\w+$/, ''))}`,
        { method: 'POST', headers: { 'Content-Type': file.type }, body: file },
      )
      await answer(
        Promise.resolve({
          data: response.ok ? await response.json() : undefined,
          error: response.ok ? undefined : await response.json(),
          response,
        }),
      )
      await client.invalidateQueries({ queryKey: key })
    } catch (e) {
      setFault((e as Error).message)
    }
  }
  const remove = async (p: Schemas['CataloguePicture']) => {
    await answer(http.DELETE('/api/pictures/{id}', { params: { path: { id: p.id } } }))
    setLarge(undefined)
    await client.invalidateQueries({ queryKey: key })
  }
  return (
    <Section title="Pictures">
      <div className="flex flex-wrap gap-2">
        {list.map((p) => (
          <button
            key={p.id}
            type="button"
            onClick={() => setLarge(p)}
            aria-label={`Look at ${p.caption ?? 'the picture'}`}
          >
            <img
              src={p.address}
              alt={p.caption ?? `${name}, picture`}
              className="h-16 w-22 border border-rule object-cover"
              loading="lazy"
            />
          </button>
        ))}
        <label className="grid h-16 w-22 cursor-pointer place-items-center border border-dashed border-copper text-[14px] text-copper focus-within:outline-3 focus-within:outline-copper">
          add one
          <input
            type="file"
            accept="image/jpeg,image/png"
            className="sr-only"
            aria-label={`Add a picture of ${name}`}
            onChange={(e) => {
              void add(e.target.files?.[0])
              e.target.value = ''
            }}
          />
        </label>
      </div>
      {fault && (
        <p role="alert" className="mt-1 text-[14px] text-plum">
          {fault}
        </p>
      )}
      <Dialog open={!!large} onClose={() => setLarge(undefined)} title={large?.caption ?? name} wide>
        {large && (
          <>
            <img
              src={large.address}
              alt={large.caption ?? `${name}, picture`}
              className="max-h-[55vh] w-full object-contain"
            />
            <button
              type="button"
              className="mt-3 text-copper underline underline-offset-3"
              onClick={() => void remove(large)}
            >
              Take this picture out
            </button>
          </>
        )}
      </Dialog>
    </Section>
  )
}
