import { useState } from 'react'
import { fetched, type Schemas, told } from '../../api/client'
import { Why } from '../../stations/Ledger'
import type { Editor } from './useEditor'

/** A drawing of the block's underside: its screws and lands take the drawn places. */
export function UndersideDrop({ editor }: { editor: Editor }) {
  const [said, setSaid] = useState<string[]>([])
  const [fault, setFault] = useState<string>()
  const lay = async (file: File) => {
    const form = new FormData()
    form.append('files', file)
    form.append('document', editor.text!)
    try {
      setFault(undefined)
      const laid = await fetched<Schemas['UndersideAnswer']>('/api/library/underside', { method: 'POST', body: form })
      setSaid(laid.told)
      editor.take(laid.document, laid.checked)
    } catch (e) {
      setSaid([])
      setFault(told(e))
    }
  }
  return (
    <>
      <label className="mt-1.5 mr-2 inline-flex min-h-9 cursor-pointer items-center rounded-[3px] border border-rule bg-raised px-3 py-1.5 focus-within:outline-3 focus-within:outline-copper">
        Underside from a drawing (DXF)
        <input
          type="file"
          accept=".dxf"
          className="sr-only"
          onChange={(e) => {
            const file = e.target.files?.[0]
            e.target.value = ''
            if (file) void lay(file)
          }}
        />
      </label>
      {said.map((t) => (
        <Why key={t}>{t}</Why>
      ))}
      {fault && (
        <p role="alert" className="mt-1 text-plum">
          {fault}
        </p>
      )}
    </>
  )
}
