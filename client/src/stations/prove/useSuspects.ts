import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { answer, http, type JobView } from '../../api/client'
import { asked, type Here } from '../here'

/** What the last after reading says is wrong, where there is one with its coolant. */
export function useSuspects(job: JobView, here: Here) {
  const first = job.order.pieces[0].key
  const after = job.readings.findLast((r) => r.phase === 'after' && (r.board ?? first) === here.boardKey)
  return useQuery({
    queryKey: ['faults', job.id, job.version, job.sheets.versions, here.pairKey, here.boardKey, after?.id],
    enabled: after?.coolantC != null && !!here.seating?.dies.length && here.block?.flow != null,
    retry: false,
    placeholderData: keepPreviousData,
    queryFn: () => answer(http.GET('/api/jobs/{id}/faults', { params: { path: { id: job.id }, query: asked(here) } })),
  })
}
