import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { fetched, type JobView, type Schemas, told } from '../../api/client'
import { putDocument } from '../../library/documents'
import { Button } from '../../ui/Button'
import { Row, Section, Why } from '../Ledger'

type Contact = Schemas['PassportContact']

/** What every contact was forecast to be and what was seen of it; a block that the job bears out is marked as proved. */
export function Contacts({ job, by }: { job: JobView; by: string }) {
  const client = useQueryClient()
  const [fault, setFault] = useState<string>()
  const key = ['passport', job.id, job.version]
  const contacts = useQuery({ queryKey: key, queryFn: () => fetched<Contact[]>(`/api/jobs/${job.id}/passport`) }).data
  const proved = useQuery({
    queryKey: [...key, 'proved'],
    queryFn: () => fetched<Schemas['ProvedBlock'][]>(`/api/jobs/${job.id}/proved-lands`),
  }).data
  if (!contacts?.length) return null
  const count = (stand: Contact['stand']) => contacts.filter((c) => c.stand === stand).length
  const keep = async (b: Schemas['ProvedBlock']) => {
    try {
      setFault(undefined)
      await putDocument('blocks', b.blockId, b.document, b.version, by)
      await client.invalidateQueries()
    } catch (e) {
      setFault(told(e))
    }
  }
  return (
    <Section title="Contacts">
      <p className="text-[15px]">
        {[`${count('confirmed')} confirmed`, `${count('doubted')} doubted`, `${count('open')} not looked at`].join(
          ', ',
        )}
      </p>
      {contacts
        .filter((c) => c.stand === 'doubted')
        .map((c) => (
          <Why key={c.contact} tone="text-plum">
            {c.contact}:{' '}
            {c.seen
              .filter((s) => !s.agrees)
              .map((s) => s.what)
              .join('; ')}
          </Why>
        ))}
      {contacts
        .filter((c) => c.stand === 'doubted' && c.ask)
        .map((c) => (
          <Why key={`ask ${c.contact}`}>{c.ask}</Why>
        ))}
      <details className="mt-1">
        <summary className="cursor-pointer text-copper underline underline-offset-3">Each contact as forecast</summary>
        {contacts.map((c) => (
          <Row key={c.contact} name={c.contact} value={c.forecast.text} />
        ))}
      </details>
      {(proved ?? []).map((b) => (
        <div key={b.pair} className="mt-2 border-l-4 border-copper pl-2.5">
          <p className="text-[15px] leading-snug">
            This job bears out {b.lands.join(', ')} of {b.name}: edges, imprints and temperatures agree.
          </p>
          <Button className="mt-1" onClick={() => void keep(b)}>
            Mark {b.lands.length === 1 ? 'it' : 'them'} as proved
          </Button>
        </div>
      ))}
      {fault && (
        <p role="alert" className="mt-1 text-plum">
          {fault}
        </p>
      )}
    </Section>
  )
}
