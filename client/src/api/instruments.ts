import { useEffect, useRef, useState } from 'react'
import type { Schemas } from './client'

export type CaliperReading = Schemas['CaliperReading']

/** Hands on each press of the caliper's data key while it is wanted. */
export function useCaliper(wanted: boolean, take: (r: CaliperReading) => void) {
  const current = useRef(take)
  current.current = take
  useEffect(() => {
    if (!wanted) return
    const source = new EventSource('/api/instruments/live')
    source.addEventListener('caliper', (e) =>
      current.current(JSON.parse((e as MessageEvent<string>).data) as CaliperReading),
    )
    return () => source.close()
  }, [wanted])
}

export type TurnVerdict = Schemas['TurnVerdict']

/** Hands on what the torque driver's turn comes to, judged against the screw of the pass that it is for, and kept with the job. True once no turn can be missed. */
export function useDriver(
  jobId: number,
  stepId: string | undefined,
  hole: string | undefined,
  by: string,
  take: (v: TurnVerdict) => void,
) {
  const current = useRef(take)
  current.current = take
  const [listening, setListening] = useState(false)
  useEffect(() => {
    setListening(false)
    if (!stepId || !hole) return
    const asked = `stepId=${encodeURIComponent(stepId)}&hole=${encodeURIComponent(hole)}&by=${encodeURIComponent(by)}`
    const source = new EventSource(`/api/jobs/${jobId}/driver?${asked}`)
    source.addEventListener('listening', () => setListening(true))
    source.addEventListener('turn', (e) => current.current(JSON.parse((e as MessageEvent<string>).data) as TurnVerdict))
    return () => source.close()
  }, [jobId, stepId, hole, by])
  return listening
}
