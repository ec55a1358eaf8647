import { useState } from 'react'
import { fetched, type Schemas, told } from '../../api/client'
import { Why } from '../../stations/Ledger'
import { FileButton } from '../../ui/FileButton'
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
    <div className="mt-1.5">
      <FileButton accept=".dxf,.svg" onFile={(file) => void lay(file)}>
        Underside from a drawing (DXF or SVG)
      </FileButton>
      {said.map((t) => (
        <Why key={t}>{t}</Why>
      ))}
      {fault && (
        <p role="alert" className="mt-1 text-plum">
          {fault}
        </p>
      )}
    </div>
  )
}
