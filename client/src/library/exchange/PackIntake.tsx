import { useEffect, useState } from 'react'
import { answer, type Schemas } from '../../api/client'
import { Button } from '../../ui/Button'

const words: Record<string, [string, string]> = {
  new: ['new', 'text-cool'],
  same: ['kept already', 'text-soft'],
  changed: ['other content', 'text-amber'],
}

/** A catalogue pack before it is kept: what is new, the same, in conflict; all or nothing. */
export function PackIntake({ file, onDone }: { file: File; onDone: (kept?: boolean) => void }) {
  const [preview, setPreview] = useState<Schemas['PackPreview']>()
  const [faults, setFaults] = useState<{ pointer: string; message: string }[]>([])
  const send = async <T,>(path: string) => {
    const response = await fetch(path, { method: 'POST', headers: { 'Content-Type': 'application/zip' }, body: file })
    return answer<T>(
      Promise.resolve({
        data: response.ok ? ((await response.json()) as T) : undefined,
        error: response.ok ? undefined : await response.json(),
        response,
      }),
    )
  }
  const refuse = (e: unknown) => {
    const r = e as { errors?: { pointer: string; message: string }[]; message: string }
    setFaults(r.errors?.length ? r.errors : [{ pointer: '', message: r.message }])
  }
  // biome-ignore lint/correctness/useExhaustiveDependencies: one file is looked through once
  useEffect(() => {
    send<Schemas['PackPreview']>('/api/library/pack/check').then(setPreview, refuse)
  }, [])
  const keep = (replace: boolean) =>
    send(`/api/library/pack${replace ? '?replace=true' : ''}`).then(() => onDone(true), refuse)
  return (
    <div className="scroll-thin min-h-0 overflow-y-auto bg-card p-6">
      <h2 className="text-[25px] font-bold">{file.name}</h2>
      {faults.length > 0 && (
        <div role="alert">
          <p className="mt-1 text-plum">
            {faults.length} {faults.length === 1 ? 'fault' : 'faults'}; nothing was kept
          </p>
          {faults.slice(0, 20).map((f) => (
            <p key={f.pointer + f.message} className="mt-2 border-l-4 border-plum pl-3">
              <span className="num">{f.pointer}</span> {f.message}
            </p>
          ))}
        </div>
      )}
      {preview && faults.length === 0 && (
        <>
          <p className="mt-1 text-[17px]">
            {preview.new} new, {preview.changed} with other content, {preview.same} kept already
            {preview.pictures > 0 && `, ${preview.pictures} pictures`}.
          </p>
          <table className="mt-3 w-full max-w-2xl">
            <thead className="text-left text-[13px] text-soft">
              <tr>
                <th scope="col">id</th>
                <th scope="col">kind</th>
                <th scope="col">in this library</th>
              </tr>
            </thead>
            <tbody>
              {preview.lines.map((l) => (
                <tr key={l.kind + l.id} className="border-b border-rule">
                  <td className="py-1.5">{l.id}</td>
                  <td>{l.kind}</td>
                  <td className={words[l.state][1]}>{words[l.state][0]}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
      <div className="mt-4 flex gap-3">
        {preview && faults.length === 0 && preview.new + preview.changed > 0 && (
          <Button kind="go" onClick={() => keep(preview.changed > 0)}>
            {preview.changed ? `Keep all, replace ${preview.changed}` : `Keep all ${preview.new}`}
          </Button>
        )}
        <Button onClick={() => onDone()}>Discard</Button>
      </div>
    </div>
  )
}
