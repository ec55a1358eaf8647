import { useQuery } from '@tanstack/react-query'
import { answer, http, type JobView } from '../../api/client'
import { asked, type Here } from '../here'

/** How the mounted board bows, with and without its back plate. */
export const useBow = (job: JobView, here: Here) =>
  useQuery({
    queryKey: ['bow', job.id, job.version, job.sheets.versions, here.pairKey, here.boardKey],
    queryFn: () => answer(http.GET('/api/jobs/{id}/bow', { params: { path: { id: job.id }, query: asked(here) } })),
    enabled: !!here.seating,
  }).data
