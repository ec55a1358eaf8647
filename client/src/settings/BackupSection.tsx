import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { answer, http } from '../api/client'
import { Button } from '../ui/Button'
import { clock, day, fixed } from '../ui/format'

const size = (bytes: number) =>
  bytes >= 1e6 ? `${fixed(bytes / 1e6, 1)} MB` : `${Math.max(1, Math.round(bytes / 1e3))} kB`

const STOPPED = 'Stopped: nothing of it was kept.'
const written = (name: string) => `${name} is written and read back.`

/** Backups beside the shop, one now, and the doctor's look. */
export function BackupSection() {
  const client = useQueryClient()
  const all = useQuery({
    queryKey: ['keeping'],
    queryFn: () => answer(http.GET('/api/keeping')),
    // one is being written: how far it is
    refetchInterval: (q) => (q.state.data?.writing == null ? false : 500),
  })
  const [asked, ask] = useState(false)
  const [said, say] = useState<string>()
  const doctor = useQuery({
    queryKey: ['doctor'],
    enabled: asked,
    staleTime: 0,
    queryFn: () => answer(http.GET('/api/keeping/doctor')),
  })
  const [busy, setBusy] = useState(false)
  // the newest there was when one was asked for that takes longer than its answer
  const [followed, follow] = useState<{ before?: string }>()
  const now = async () => {
    setBusy(true)
    try {
      const made = await answer(http.POST('/api/keeping/backups'))
      say(made ? written(made.name) : undefined)
      // how far it is has to be known before it can be seen to end
      await client.invalidateQueries({ queryKey: ['keeping'] })
      if (!made) follow({ before: k?.backups[0]?.name })
    } catch (e) {
      say((e as Error).message)
    }
    setBusy(false)
  }
  const k = all.data
  const writing = k?.writing ?? undefined
  useEffect(() => {
    if (!followed || !k || writing !== undefined) return
    follow(undefined)
    const newest = k.backups[0]?.name
    say(newest && newest !== followed.before ? written(newest) : k.trouble ? undefined : STOPPED)
  }, [followed, k, writing])
  const stop = async () => {
    await http.DELETE('/api/keeping/backups/under-way')
    follow(undefined)
    say(STOPPED)
    await all.refetch()
  }
  return (
    <section aria-label="Backups" className="mb-6 bg-card p-4 shadow-[inset_0_0_0_1px_var(--rule)]">
      <h2 className="text-[19px] font-bold">Backups</h2>
      <p className="mb-2 max-w-[80ch] text-[15px] text-soft">
        A backup an hour while the shop is at work, read back after it was written; the oldest go. Copy one to another
        machine now and then: ./run backup FILE. To put one back: ./run restore FILE.
      </p>
      {k && (
        <p className="mb-2 break-all text-[15px]">
          {k.folder}, <span className="num">{Math.round(k.freeMb / 1000)} GB</span> free
          {k.readOnly && <b className="text-plum"> · this shop can only be read</b>}
        </p>
      )}
      {k?.trouble && (
        <p role="alert" className="mb-2 text-plum">
          The last backup failed: {k.trouble}
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        <Button kind="go" onClick={() => void now()} disabled={busy || k?.readOnly || writing !== undefined}>
          {writing !== undefined ? `Backing up, ${Math.round(writing * 100)} %` : busy ? 'Backing up' : 'Back up now'}
        </Button>
        {writing !== undefined && <Button onClick={() => void stop()}>Stop it</Button>}
        <Button onClick={() => (asked ? void doctor.refetch() : ask(true))}>Check data</Button>
      </div>
      {said && (
        <p role="status" className="mt-2">
          {said}
        </p>
      )}
      {k && k.backups.length > 0 && (
        <ul className="mt-3 columns-[260px] text-[15px]">
          {k.backups.slice(0, 12).map((b) => (
            <li key={b.name} className="flex justify-between gap-3 border-b border-rule/60 py-1">
              <a href={`/api/keeping/backups/${b.name}`} download className="text-copper underline underline-offset-3">
                {day(b.at)} {clock(b.at)}
              </a>
              <span className="num text-soft">{size(b.bytes)}</span>
            </li>
          ))}
        </ul>
      )}
      {doctor.data && (
        <ul aria-label="What was found" className="mt-3 text-[15px]">
          {doctor.data.map((f) => (
            <li key={f.code + f.text} className={`py-0.5 ${f.fault ? 'font-semibold text-plum' : ''}`}>
              {f.fault ? 'Wrong: ' : ''}
              {f.text}
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}
