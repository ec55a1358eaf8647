import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { answer, http, type JobView, type Schemas } from '../../api/client'
import { asked, type Here } from '../here'

/** Conditions that are tried; what is absent stands as planned. */
export interface Tried {
  flowLMin?: number
  coolantInC?: number
  powerW?: number
  padWPerMK?: number
  pasteWPerMK?: number
}

/** What the room of Prove remembers: whether the map lies on the mat, and what is tried. */
export interface Heat {
  shown: boolean
  show: (on: boolean) => void
  tried: Tried
  attempt: (t: Tried) => void
  expected?: Schemas['JobExpectation']
  error: Error | null
}

/** Whether a block that states its curve is seated here, or holds a module between its carriers. */
export const canExpect = (here: Here) =>
  here.block?.flow != null && (!!here.seating || (here.block.carriers.length > 0 && here.pads.length > 0))

export function useHeat(job: JobView, here: Here): Heat {
  const [shown, show] = useState(true)
  const [tried, attempt] = useState<Tried>({})
  const query = useQuery({
    queryKey: ['expect', job.id, job.version, job.sheets.versions, here.pairKey, here.boardKey, tried],
    enabled: canExpect(here),
    retry: false,
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) =>
      answer(
        http.GET('/api/jobs/{id}/expect', {
          params: { path: { id: job.id }, query: { ...asked(here), ...tried, map: true } },
          signal,
        }),
      ),
  })
  return { shown, show, tried, attempt, expected: query.data, error: query.error }
}
