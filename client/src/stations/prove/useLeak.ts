import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useEffect, useRef, useState } from 'react'
import { answer, asJson, fetched, http, type JobView, type Schemas, told } from '../../api/client'

export type LeakSoFar = Schemas['LeakSoFar']

/** A pressure hold as it is watched, and the ones that were written down. */
export function useLeak(job: JobView) {
  const client = useQueryClient()
  const [samples, set] = useState<LeakSoFar[]>()
  const [gauge, setGauge] = useState<{ name: string; simulated?: number | null }>()
  const [running, setRunning] = useState(false)
  const [fault, setFault] = useState<string>()
  const source = useRef<EventSource>(undefined)
  const stop = () => {
    source.current?.close()
    source.current = undefined
    setRunning(false)
  }
  useEffect(() => () => source.current?.close(), [])
  const start = (volumeMl: number, limitMlPerMin: number, practise = false) => {
    stop()
    setFault(undefined)
    const query = new URLSearchParams({
      volumeMl: String(volumeMl),
      limitMlPerMin: String(limitMlPerMin),
      ...(practise ? { practise: 'true' } : {}),
    })
    const s = new EventSource(`/api/jobs/${job.id}/leak-run?${query}`)
    source.current = s
    set([])
    setRunning(true)
    s.addEventListener('gauge', (e) => setGauge(JSON.parse((e as MessageEvent<string>).data)))
    s.addEventListener('sample', (e) =>
      set((all) => [...(all ?? []), JSON.parse((e as MessageEvent<string>).data) as LeakSoFar]),
    )
    s.onerror = stop
  }
  const written = useQuery({
    queryKey: ['leak-tests', job.id],
    queryFn: () => answer(http.GET('/api/jobs/{id}/leak-tests', { params: { path: { id: job.id } } })),
  })
  const send = async (body: Omit<Partial<Schemas['LeakWritten']>, 'samples'> & { samples?: object[] }) => {
    setFault(undefined)
    try {
      await fetched(`/api/jobs/${job.id}/leak-tests`, asJson(JSON.stringify(body)))
      await client.invalidateQueries({ queryKey: ['leak-tests', job.id] })
      return true
    } catch (e) {
      setFault(told(e))
      return false
    }
  }
  const write = async (by: string, volumeMl: number, limitMlPerMin: number, place?: string) => {
    const kept = await send({
      by,
      volumeMl,
      limitMlPerMin,
      source: gauge?.simulated ? { kind: 'simulated' } : { kind: 'device', instrument: gauge?.name },
      samples: (samples ?? []).map((x) => ({
        tS: x.timeS,
        gaugeKPa: x.gaugeKPa,
        tempC: x.tempC,
        ...(x.ambientKPa == null ? {} : { ambientKPa: x.ambientKPa }),
      })),
      ...(place ? { place } : {}),
    })
    if (!kept) return
    stop()
    set(undefined)
  }
  return { samples, gauge, running, fault, start, stop, write, send, kept: written.data, now: samples?.at(-1) }
}
