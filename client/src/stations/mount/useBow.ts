import { useQuery } from '@tanstack/react-query'
import { answer, http, type JobView } from '../../api/client'

/** How the mounted board bows, with and without its back plate. */
export const useBow = (job: JobView) =>
  useQuery({
    queryKey: ['bow', job.id, job.version, job.sheets.versions],
    queryFn: () => answer(http.GET('/api/jobs/{id}/bow', { params: { path: { id: job.id } } })),
    enabled: !!job.plan.seating,
  }).data
