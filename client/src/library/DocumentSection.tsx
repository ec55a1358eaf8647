import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { told } from '../api/client'
import { Link, useNavigate } from '../app/router'
import { Section } from '../stations/Ledger'
import { Button } from '../ui/Button'
import { clock, day } from '../ui/format'
import { archive, type DocumentPath, isArchived, remove, versionsOf } from './documents'
import { Begin } from './edit/Begin'

/** A document's versions, and how it leaves the lists: archived, or deleted where no job rests on it. */
export function DocumentSection({ what, id }: { what: DocumentPath; id: string }) {
  const client = useQueryClient()
  const go = useNavigate()
  const [fault, setFault] = useState<string>()
  const versions = useQuery({ queryKey: ['versions', what, id], queryFn: () => versionsOf(what, id) }).data ?? []
  const archived = useQuery({ queryKey: ['archived', what, id], queryFn: () => isArchived(what, id) }).data
  const act = async (how: () => Promise<unknown>, then?: string) => {
    setFault(undefined)
    try {
      await how()
      await client.invalidateQueries()
      if (then) go(then)
    } catch (e) {
      setFault(told(e))
    }
  }
  return (
    <Section title={versions.length > 1 ? `Document, version ${versions[0].version}` : 'Document'}>
      <ul>
        {versions.slice(0, 8).map((v) => (
          <li key={v.version} className="flex items-baseline gap-2 border-b border-rule/60 py-1 text-[14.5px]">
            <a
              className="text-copper underline underline-offset-3"
              href={`/api/${what}/${encodeURIComponent(id)}/versions/${v.version}`}
              download={`${id}-${v.version}.json`}
            >
              version {v.version}
            </a>
            <span className="text-soft">
              {v.by} {day(v.at)} {clock(v.at)}
            </span>
          </li>
        ))}
      </ul>
      <p className="my-1.5 text-[14.5px] leading-snug text-soft">
        Change it here, or drop a changed document on the library: what it changes in open jobs is told before it is
        kept.
      </p>
      <div className="flex flex-wrap gap-2">
        <Link
          to={`/library/${what}/${encodeURIComponent(id)}/edit`}
          className="flex min-h-9 items-center rounded-[3px] border border-rule bg-raised px-3 py-1.5"
        >
          Edit
        </Link>
        {(what === 'boards' || what === 'blocks') && <Begin what={what} id={id} of="like" />}
        <Button onClick={() => void act(() => archive(what, id, !archived))}>
          {archived ? 'Bring it back' : 'Archive'}
        </Button>
        <Button onClick={() => void act(() => remove(what, id), '/library')}>Delete</Button>
      </div>
      {fault && (
        <p role="alert" className="mt-1.5 text-plum">
          {fault}
        </p>
      )}
    </Section>
  )
}
