import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { answer, asCsv, fetched, http, told as inWords, type JobView, type Schemas } from '../../api/client'
import type { Here } from '../here'
import { runAsCsv, useBench } from './useBench'

export type JobLog = Schemas['JobLogView']

/** Kept logs of a job, a run on the bench, and a file whose columns have to be told. */
export function useLogs(job: JobView, here: Here) {
  const client = useQueryClient()
  const bench = useBench(job, here)
  const [shown, show] = useState<number>()
  const [fault, setFault] = useState<string>()
  const [asking, ask] = useState<{ text: string; name: string; look: Schemas['LogLook'] }>()
  const kept = useQuery({
    queryKey: ['logs', job.id],
    queryFn: () => answer(http.GET('/api/jobs/{id}/logs', { params: { path: { id: job.id } } })),
  })
  const log = useQuery({
    queryKey: ['logs', job.id, shown],
    enabled: shown !== undefined,
    queryFn: () => answer(http.GET('/api/jobs/{id}/logs/{logId}', { params: { path: { id: job.id, logId: shown! } } })),
  })
  const path = { id: job.id }
  const told = async (work: () => Promise<void>) => {
    setFault(undefined)
    try {
      await work()
    } catch (e) {
      setFault(inWords(e))
    }
  }
  const post = async (
    text: string,
    by: string,
    name: string,
    columns?: Schemas['LogColumn'][],
    source: Schemas['SourceKind'] = 'file',
  ) => {
    const query = new URLSearchParams({ by, phase: 'after', name, board: here.boardKey, source })
    if (columns) query.set('columns', JSON.stringify(columns))
    const made = await fetched<Schemas['JobLogView']>(`/api/jobs/${job.id}/logs?${query}`, asCsv(text))
    await client.invalidateQueries({ queryKey: ['logs', job.id] })
    return made
  }
  return {
    bench,
    kept: kept.data ?? [],
    log: shown === undefined ? undefined : log.data,
    shown,
    show,
    fault,
    asking,
    forget: () => ask(undefined),
    /** A file of a logger: kept at once when its columns are known. */
    drop: (file: File, by: string) =>
      told(async () => {
        const text = await file.text()
        const look = await fetched<Schemas['LogLook']>('/api/logs/look', asCsv(text))
        if (look.known) show((await post(text, by, file.name)).log.id)
        else ask({ text, name: file.name, look })
      }),
    tell: (columns: Schemas['LogColumn'][], by: string) =>
      told(async () => {
        if (!asking) return
        const made = await post(asking.text, by, asking.name, columns)
        ask(undefined)
        show(made.log.id)
      }),
    keepRun: (by: string) =>
      told(async () => {
        if (!bench.run) return
        bench.stop()
        const made = await post(runAsCsv(bench.run), by, bench.run.name, undefined, 'simulated')
        bench.clear()
        show(made.log.id)
      }),
    takeReading: (logId: number, phase: 'before' | 'after', by: string) =>
      told(async () => {
        await answer(
          http.POST('/api/jobs/{id}/logs/{logId}/reading', {
            params: { path: { ...path, logId } },
            body: { by, phase },
          }),
        )
        await client.invalidateQueries({ queryKey: ['job', job.id] })
        await client.invalidateQueries({ queryKey: ['bench'] })
      }),
    strike: (logId: number, by: string) =>
      told(async () => {
        await answer(
          http.DELETE('/api/jobs/{id}/logs/{logId}', {
            params: { path: { ...path, logId }, query: { by: by || undefined } },
          }),
        )
        if (shown === logId) show(undefined)
        await client.invalidateQueries({ queryKey: ['logs', job.id] })
      }),
  }
}
export type Logs = ReturnType<typeof useLogs>
