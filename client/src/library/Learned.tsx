import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { answer, http, told } from '../api/client'
import { useInitials } from '../app/settings'
import { Section, Why } from '../stations/Ledger'
import { Button } from '../ui/Button'
import { fixed } from '../ui/format'

/** What the shop's own proved jobs say of a block, and whether it is calculated by them. */
export function Learned({ block }: { block: string }) {
  const client = useQueryClient()
  const [by] = useInitials()
  const [fault, setFault] = useState<string>()
  const path = { params: { path: { id: block } } }
  const learned = useQuery({
    queryKey: ['learned', block],
    queryFn: () => answer(http.GET('/api/blocks/{id}/learned', path)),
  }).data
  if (!learned || (learned.medians.length === 0 && learned.taken == null)) return null
  const take = async (take: boolean) => {
    setFault(undefined)
    try {
      await answer(http.PUT('/api/blocks/{id}/claim', { ...path, body: { take, by } }))
      await client.invalidateQueries()
    } catch (e) {
      setFault(told(e))
    }
  }
  const all = learned.medians[0]
  return (
    <Section title="What this shop measured with it">
      {learned.medians.map((m) => (
        <Why key={m.paste ?? ''} tone={m.outliers.length > 0 ? 'text-amber' : ''}>
          {m.text}
          {m.grade && ` Evidence grade ${m.grade}.`}
        </Why>
      ))}
      {learned.taken != null && (
        <p className="mt-1 border-l-4 border-cool pl-2 text-[14.5px]">
          Jobs are calculated by the shop's own figure, {fixed(learned.taken, 2)} of the maker's claim.
        </p>
      )}
      <p className="mt-2 flex flex-wrap gap-2">
        {all?.ratio != null && <Button onClick={() => void take(true)}>Use our own jobs</Button>}
        {learned.taken != null && <Button onClick={() => void take(false)}>The maker's claim again</Button>}
      </p>
      {fault && (
        <p role="alert" className="mt-1 text-plum">
          {fault}
        </p>
      )}
    </Section>
  )
}
