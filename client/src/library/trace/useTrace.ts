import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useRef, useState } from 'react'
import { answer, asJson, fetched, http, ifMatch, type Schemas } from '../../api/client'

export type TraceState = Schemas['TraceState']

/** A photo being traced: its state on the server, what is calculated from it, and changes one after another. */
export function useTrace(id: number) {
  const client = useQueryClient()
  const path = { path: { id } }
  const trace = useQuery({
    queryKey: ['trace', id],
    queryFn: () => answer(http.GET('/api/traces/{id}', { params: path })),
  })
  const version = trace.data?.version ?? 0
  const calculate = (of: number) => ({
    queryKey: ['trace-calculate', id, of],
    queryFn: () => answer(http.GET('/api/traces/{id}/calculate', { params: path })),
  })
  const calculated = useQuery({
    ...calculate(version),
    enabled: version > 0,
    placeholderData: (old) => old,
  }).data
  const [fault, setFault] = useState<string>()
  const [kept, setKept] = useState<string>()
  const queue = useRef(Promise.resolve())
  /** Changes go one after another, each on what the one before left. */
  const change = (make: (s: TraceState) => TraceState) => {
    queue.current = queue.current.then(async () => {
      const now = client.getQueryData<Schemas['TraceView']>(['trace', id])!
      try {
        const saved = await answer(
          http.PUT('/api/traces/{id}', { params: path, headers: ifMatch(now.version), body: make(now.state) }),
        )
        client.setQueryData(['trace', id], saved)
        setFault(undefined)
      } catch (e) {
        setFault((e as Error).message)
        await client.invalidateQueries({ queryKey: ['trace', id] })
      }
    })
  }
  const guarded = async (run: () => Promise<void>) => {
    try {
      await run()
    } catch (e) {
      setFault((e as Error).message)
    }
  }
  const mirror = (featureId: string) =>
    guarded(async () => {
      const more = await answer(http.POST('/api/traces/{id}/mirror', { params: path, body: { featureId } }))
      change((s) => ({ ...s, features: [...s.features, ...more] }))
    })
  const keep = () =>
    guarded(async () => {
      // what was changed last may still be on its way
      await queue.current
      const last = await client.fetchQuery(
        calculate(client.getQueryData<Schemas['TraceView']>(['trace', id])?.version ?? version),
      )
      if (!last.document) return setFault(last.trouble ?? undefined)
      const made = await fetched<{ id: string }>('/api/boards', asJson(last.document))
      await client.invalidateQueries()
      setKept(made.id)
    })
  /** The middle and the size of the hole under a click. */
  const snap = (uPx: number, vPx: number, reachPx: number) =>
    answer(http.POST('/api/traces/{id}/snap', { params: path, body: { uPx, vPx, reachPx } }))
  return { trace, calculated, change, mirror, keep, snap, fault, kept }
}
