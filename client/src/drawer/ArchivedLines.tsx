import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { answer, http, ifMatch, type Schemas, told } from '../api/client'
import { useInitials } from '../app/settings'
import { Button } from '../ui/Button'

/** Lines that are planned with no more, and can be brought back. */
export function ArchivedLines() {
  const client = useQueryClient()
  const [by] = useInitials()
  const [fault, setFault] = useState<string>()
  const lines = useQuery({
    queryKey: ['drawer', 'archived'],
    queryFn: () => answer(http.GET('/api/drawer/archived')),
  }).data
  const back = async (l: Schemas['ArchivedItem']) => {
    try {
      await answer(
        http.PUT('/api/drawer/{kind}/{id}/archived', {
          params: { path: { kind: l.kind, id: l.id }, query: { by: by || undefined } },
          headers: ifMatch(l.version),
          body: { archived: false },
        }),
      )
      setFault(undefined)
    } catch (e) {
      setFault(told(e))
    }
    await client.invalidateQueries()
  }
  if (!lines?.length) return null
  return (
    <details className="mt-4 bg-card p-4 shadow-[inset_0_0_0_1px_var(--rule)]">
      <summary className="cursor-pointer font-semibold">Archived, {lines.length}</summary>
      {fault && (
        <p role="alert" className="text-plum">
          {fault}
        </p>
      )}
      {lines.map((l) => (
        <div key={`${l.kind}/${l.id}`} className="flex items-center gap-3 border-b border-rule/60 py-1">
          <span className="w-24 text-soft">{l.kind}</span>
          <span className="min-w-0 flex-1">{l.name}</span>
          <Button onClick={() => void back(l)}>Bring it back</Button>
        </div>
      ))}
    </details>
  )
}
