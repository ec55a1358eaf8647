import { answer, http, type JobView, type Schemas } from '../../api/client'
import { Button } from '../../ui/Button'

type Assembly = Schemas['Assembly']

/** What the record holds and nobody has signed yet: each can be struck. */
export function StripList({
  assembly,
  open,
  put,
}: {
  assembly: Assembly
  open: (id: string) => boolean
  put: (next: Assembly) => void
}) {
  return [
    ...assembly.fasteners.map((f) => ({
      id: f.id,
      text: `${f.count} × ${f.thread ?? f.driver}${f.lengthMm ? ` × ${f.lengthMm}` : ''}`,
    })),
    ...assembly.leads.map((l) => ({ id: l.id, text: `${l.name} lead` })),
  ]
    .filter((x) => open(x.id))
    .map((x) => (
      <p key={x.id} className="mt-1 flex items-baseline gap-2 border-b border-rule/60 text-[14.5px]">
        <span className="flex-1">
          {x.id}, {x.text}
        </span>
        <button
          type="button"
          className="min-h-7 text-copper underline"
          aria-label={`Strike ${x.id}`}
          onClick={() =>
            put({
              ...assembly,
              fasteners: assembly.fasteners.filter((f) => f.id !== x.id),
              leads: assembly.leads.filter((l) => l.id !== x.id),
              after: assembly.after.filter((a) => !a.includes(x.id)),
            })
          }
        >
          strike
        </button>
      </p>
    ))
}

/** The record as a file, from a file, and with its board. */
export function StripFiles({
  job,
  by,
  version,
  guard,
  put,
  refuse,
  close,
}: {
  job: JobView
  by: string
  version: number
  guard: (run: () => Promise<unknown>) => Promise<void>
  put: (next: Assembly) => void
  refuse: (why: string) => void
  close: () => void
}) {
  return (
    <div className="mt-3 flex flex-wrap items-center gap-x-4 gap-y-1 text-[14.5px]">
      {version > 0 && (
        <Button
          onClick={() =>
            void guard(() =>
              answer(http.POST('/api/jobs/{id}/assembly/keep', { params: { path: { id: job.id } }, body: { by } })),
            )
          }
        >
          Keep it with the board
        </Button>
      )}
      <a className="text-copper underline underline-offset-3" href={`/api/jobs/${job.id}/assembly.json`} download>
        save as a file
      </a>
      <label className="cursor-pointer text-copper underline underline-offset-3 focus-within:outline-3">
        read from a file
        <input
          type="file"
          accept="application/json,.json"
          aria-label="Assembly file"
          className="sr-only"
          onChange={(e) => {
            const f = e.target.files?.[0]
            e.target.value = ''
            if (f)
              void f.text().then((t) => {
                try {
                  put(JSON.parse(t))
                } catch {
                  refuse(`${f.name} is not JSON.`)
                }
              })
          }}
        />
      </label>
      <button type="button" className="text-copper underline underline-offset-3" onClick={close}>
        close
      </button>
    </div>
  )
}
