import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { answer, http, type Schemas } from '../../api/client'
import { Link, useNavigate } from '../../app/router'
import { useInitials } from '../../app/settings'
import { TraceDesk } from './TraceDesk'

/** A board from a photo: print the target, lay it beside the board, drop the picture. */
export function TracePage({ id }: { id?: string }) {
  if (id) return <TraceDesk key={id} id={Number(id)} />
  return <Start />
}

function Start() {
  const traces = useQuery({ queryKey: ['traces'], queryFn: () => answer(http.GET('/api/traces')) }).data ?? []
  const client = useQueryClient()
  const [initials] = useInitials()
  const [busy, setBusy] = useState(false)
  const [fault, setFault] = useState<string>()
  const go = useNavigate()
  const take = async (file?: File | null) => {
    if (!file) return
    setBusy(true)
    setFault(undefined)
    try {
      const response = await fetch(`/api/traces?by=${encodeURIComponent(initials)}`, {
        method: 'POST',
        headers: { 'Content-Type': file.type },
        body: file,
      })
      const made = await answer(
        Promise.resolve({
          data: response.ok ? ((await response.json()) as Schemas['TraceView']) : undefined,
          error: response.ok ? undefined : await response.json(),
          response,
        }),
      )
      await client.invalidateQueries({ queryKey: ['traces'] })
      go(`/library/trace/${made!.id}`)
    } catch (e) {
      setFault((e as Error).message)
    }
    setBusy(false)
  }
  const camera = useQuery({ queryKey: ['instruments'], queryFn: () => answer(http.GET('/api/instruments')) }).data
    ?.camera
  const shoot = async () => {
    setBusy(true)
    setFault(undefined)
    try {
      const made = (await answer(
        http.POST('/api/instruments/camera/shoot', { params: { query: { by: initials } } }),
      )) as unknown as Schemas['TraceView']
      await client.invalidateQueries({ queryKey: ['traces'] })
      go(`/library/trace/${made.id}`)
    } catch (e) {
      setFault((e as Error).message)
    }
    setBusy(false)
  }
  const steps: [string, React.ReactNode][] = [
    [
      'Print the target',
      <>
        A5, at 100 %. Check that its bar measures 50 mm.{' '}
        <a className="text-copper underline underline-offset-3" href="/target" target="_blank" rel="noreferrer">
          Open the sheet
        </a>
      </>,
    ],
    [
      'Lay it flat beside the bare board',
      'Same height as the board’s surface. A thin board lies on the bench; raise the sheet with card if the board stands on something.',
    ],
    ['Take one picture of both', 'From half a metre or so, tilted as you like up to 40°. Everything sharp, no flash.'],
    ['Drop it here', 'Marks are found by themselves. Then click the holes and draw the parts.'],
  ]
  return (
    <div
      role="group"
      aria-label="Photo to trace"
      className="grid min-h-0 place-items-center overflow-y-auto bg-mat p-6"
      onDragOver={(e) => e.preventDefault()}
      onDrop={(e) => {
        e.preventDefault()
        void take(e.dataTransfer.files[0])
      }}
    >
      <div className="w-full max-w-2xl bg-card p-6">
        <h1 className="text-[28px] font-bold">Trace a board from a photo</h1>
        <ol className="mt-3">
          {steps.map(([title, text], i) => (
            <li key={title} className="grid grid-cols-[44px_1fr] border-b border-rule py-2.5">
              <span className="num text-[26px] text-copper">{i + 1}</span>
              <span>
                <b className="block text-[17px]">{title}</b>
                <span className="text-[15px] text-soft">{text}</span>
              </span>
            </li>
          ))}
        </ol>
        <label className="mt-4 block cursor-pointer border-2 border-dashed border-copper bg-copper-wash px-4 py-4 text-center focus-within:outline-3 focus-within:outline-copper">
          <b>{busy ? 'Looking for the marks…' : 'Choose the picture'}</b>
          <span className="block text-[14px] text-soft">JPEG or PNG, up to 16 MiB; where it was taken is not kept</span>
          <input
            type="file"
            accept="image/jpeg,image/png"
            className="sr-only"
            onChange={(e) => {
              void take(e.target.files?.[0])
              e.target.value = ''
            }}
          />
        </label>
        {camera && (
          <p className="mt-2 text-center">
            <button
              type="button"
              disabled={busy}
              className="min-h-9 px-2 text-copper underline underline-offset-3"
              onClick={() => void shoot()}
            >
              or take it with the {camera}
            </button>
          </p>
        )}
        {fault && (
          <p role="alert" className="mt-2 border-l-4 border-plum pl-3 text-plum">
            {fault}
          </p>
        )}
        {traces.length > 0 && (
          <>
            <h2 className="mt-5 text-[13px] font-semibold text-soft">Photos on the desk</h2>
            {traces.map((t) => (
              <Link key={t.id} to={`/library/trace/${t.id}`} className="flex border-b border-rule py-2">
                <b className="flex-1">{t.model}</b>
                <span className="text-soft">
                  {t.features} marked, {t.at.slice(0, 10)}
                </span>
              </Link>
            ))}
          </>
        )}
      </div>
    </div>
  )
}
