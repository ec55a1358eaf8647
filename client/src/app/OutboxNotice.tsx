import { useQueryClient } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import type { JobView } from '../api/client'
import { again, drop, flush, type Parcel, useOutbox } from '../api/outbox'
import { Button } from '../ui/Button'
import { Dialog } from '../ui/Dialog'
import { clock } from '../ui/format'

const every = 2000

const names: Record<Parcel['kind'], [string, string]> = {
  sign: ['step', 'steps'],
  undo: ['step', 'steps'],
  note: ['note', 'notes'],
  reading: ['reading', 'readings'],
  timer: ['wait', 'waits'],
  stop: ['wait', 'waits'],
  photo: ['photo', 'photos'],
}

/** “10 steps, 1 note and 2 photos”. */
function inWords(list: Parcel[]) {
  const counts = new Map<string, [number, [string, string]]>()
  for (const p of list) {
    const name = names[p.kind]
    counts.set(name[0], [(counts.get(name[0])?.[0] ?? 0) + 1, name])
  }
  const words = [...counts.values()].map(([n, [one, many]]) => `${n} ${n === 1 ? one : many}`)
  return words.length > 1 ? `${words.slice(0, -1).join(', ')} and ${words.at(-1)}` : words[0]
}

/** What waits for the network, and what met somebody else's sign-off. */
export function OutboxNotice() {
  const parcels = useOutbox()
  const client = useQueryClient()
  const [open, setOpen] = useState(false)
  const waits = parcels.filter((p) => !p.conflict)
  const met = parcels.filter((p) => p.conflict)
  // biome-ignore lint/correctness/useExhaustiveDependencies: how many wait decides, not which
  useEffect(() => {
    if (waits.length === 0) return
    const send = () =>
      void flush().then((sent) => {
        if (sent) void client.invalidateQueries()
      })
    const t = setInterval(send, every)
    window.addEventListener('online', send)
    send()
    return () => {
      clearInterval(t)
      window.removeEventListener('online', send)
    }
  }, [waits.length > 0, client])
  if (parcels.length === 0) return null
  return (
    <div
      role="status"
      aria-label="Kept on this device"
      className={`no-print fixed left-1/2 top-1.5 z-30 flex -translate-x-1/2 items-center gap-4 border-l-8 px-4 py-2 text-[17px] shadow-lg ${met.length ? 'border-plum bg-plum-wash' : 'border-amber bg-amber-wash'}`}
    >
      {waits.length > 0 && (
        <span>
          <b>{inWords(waits)} kept on this device</b>, sent when the shop answers
        </span>
      )}
      {met.length > 0 && (
        <>
          <b>
            {met.some((p) => p.kind === 'sign' || p.kind === 'undo')
              ? `${met.length} met somebody else’s`
              : `${met.length} not taken`}
          </b>
          <Button kind="go" onClick={() => setOpen(true)}>
            Look
          </Button>
        </>
      )}
      <Dialog open={open && met.length > 0} onClose={() => setOpen(false)} title="Signed while you were away" wide>
        {met.map((p) => (
          <div key={p.key} className="mb-3 border-l-4 border-plum pl-3">
            <p className="text-[17px] font-bold">
              {p.kind === 'undo' ? 'Your take-back' : 'Yours'}: {p.title}, {clock(p.doneAt)}
            </p>
            <p>{p.conflict}</p>
            <div className="mt-1.5 flex gap-2">
              <Button onClick={() => drop(p.key)}>
                {p.kind === 'sign' || p.kind === 'undo' ? 'Keep theirs' : 'Discard mine'}
              </Button>
              <Button
                onClick={() => {
                  const job = client.getQueryData<JobView>(['job', p.jobId])
                  again(p.key, job?.steps.find((s) => s.stepId === p.stepId)?.version ?? p.version)
                  void flush().then(() => client.invalidateQueries())
                }}
              >
                {p.kind === 'sign' || p.kind === 'undo' ? 'Replace with mine' : 'Retry'}
              </Button>
            </div>
          </div>
        ))}
      </Dialog>
    </div>
  )
}
