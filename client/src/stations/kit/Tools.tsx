import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { answer, http, ifMatch, type Schemas, told } from '../../api/client'
import { useInitials } from '../../app/settings'
import { Button } from '../../ui/Button'

type Line = Schemas['KitLine']

/** Drivers and tools: each is there or it is not; one that only nobody wrote down is added with a press. */
export function Tools({ lines }: { lines: Line[] }) {
  const client = useQueryClient()
  const [by] = useInitials()
  const [fault, setFault] = useState<string>()
  const have = async (name: string) => {
    try {
      setFault(undefined)
      const id = name.toLowerCase().replaceAll(' ', '-')
      await answer(
        http.PUT('/api/drawer/{kind}/{id}', {
          params: { path: { kind: 'tool', id }, query: { by: by || undefined } },
          headers: ifMatch(0),
          body: { id, name },
        }),
      )
    } catch (e) {
      setFault(told(e))
    }
    await client.invalidateQueries()
  }
  return (
    <>
      <ul className="grid grid-cols-2 gap-x-4 text-[14.5px]">
        {lines.map((l) => {
          const name = l.name.replace(/^driver /, '')
          return (
            <li
              key={l.name}
              className={`flex min-h-9 items-center justify-between gap-2 border-b border-rule/60 ${l.short > 0 ? 'text-plum' : ''}`}
            >
              <span className="min-w-0 leading-tight">{name}</span>
              {l.short > 0 ? (
                <Button kind="quiet" aria-label={`We have ${name}`} onClick={() => have(name)}>
                  we have it
                </Button>
              ) : (
                <span className="text-soft">{l.fromKit ? 'box' : 'drawer'}</span>
              )}
            </li>
          )
        })}
      </ul>
      {fault && (
        <p role="alert" className="text-plum">
          {fault}
        </p>
      )}
    </>
  )
}
