import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { fetched, told } from '../../api/client'
import { Link, useNavigate } from '../../app/router'
import { useInitials } from '../../app/settings'
import { Head } from '../../stations/Ledger'
import { Button } from '../../ui/Button'
import { type DocumentPath, putDocument } from '../documents'
import { KeepChanged } from '../KeepChanged'
import type { Json } from './shape'
import type { Editor } from './useEditor'

/** What the document is called, whether it is a draft, and how it is kept or thrown away. */
export function EditHead({
  editor,
  what,
  id,
  root,
  place,
}: {
  editor: Editor
  what: DocumentPath
  id: string
  root: Json
  /** Whose own faults stand at their fields. */
  place: string
}) {
  /** The text whose consequences are asked about; the next edit takes the question back. */
  const [asking, setAsking] = useState<string>()
  const [fault, setFault] = useState<string>()
  const client = useQueryClient()
  const go = useNavigate()
  const [by] = useInitials()
  const { text, seen } = editor
  const draft = editor.changed || editor.resumed
  const keep = async (expected: number) => {
    setFault(undefined)
    try {
      if (expected) await putDocument(what, id, text!, expected, by)
      else
        await fetched(`/api/${what}`, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: text })
      editor.done()
      await client.invalidateQueries()
      go(`/library/${what}/${root.id}`)
    } catch (e) {
      setFault(told(e))
    }
  }
  const faults = Object.entries(editor.faults).filter(([at]) => at.slice(0, at.lastIndexOf('/')) !== place)
  return (
    <>
      <Head
        sub={draft ? 'A draft on this device: nothing in the library has changed yet.' : 'As it stands in the library.'}
      >
        {root.model ?? root.name ?? root.id}
      </Head>
      <div className="mt-2 flex flex-wrap gap-2">
        <Button
          kind="go"
          disabled={seen > 0 && !draft}
          onClick={() => (seen > 0 ? setAsking(asking === text ? undefined : text) : void keep(0))}
        >
          {seen > 0 ? 'Keep a new version' : 'Keep in the library'}
        </Button>
        {draft && (
          <Button
            onClick={() => {
              editor.discard()
              if (seen === 0) go('/library')
            }}
          >
            Throw the draft away
          </Button>
        )}
        {seen > 0 && (
          <Link className="self-center text-copper underline underline-offset-3" to={`/library/${what}/${id}`}>
            To its page
          </Link>
        )}
      </div>
      {asking !== undefined && asking === text && seen > 0 && (
        <div className="mt-2 -mr-4">
          <KeepChanged what={what} id={id} text={text!} begunFrom={seen} onKeep={(expected) => void keep(expected)} />
        </div>
      )}
      {(fault || editor.unkept) && (
        <p role="alert" className="mt-1.5 text-plum">
          {fault ?? 'This device has no room for the draft: it is lost when the page is closed. Keep it soon.'}
        </p>
      )}
      {faults.map(([at, message]) => (
        <p key={at} role="alert" className="mt-1.5 border-l-4 border-plum pl-2 text-[15px] leading-snug">
          {at && <span className="num">{at}: </span>}
          {message}
        </p>
      ))}
    </>
  )
}
