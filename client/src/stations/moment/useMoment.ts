import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { answer, http, type JobView, type Schemas } from '../../api/client'

export type Moment = Schemas['BenchMoment']

/** The bench right before a step, and what the step is about to do to it; nothing of the way back or a finished job. */
export const useMoment = (job: JobView, stepId?: string): Moment | undefined => {
  const planned = !job.finished && job.steps.some((s) => s.stepId === stepId)
  const { data } = useQuery({
    queryKey: ['moment', job.id, job.version, job.history.length, job.sheets.versions, stepId],
    queryFn: () =>
      answer(http.GET('/api/jobs/{id}/bench', { params: { path: { id: job.id }, query: { step: stepId! } } })),
    enabled: planned,
    placeholderData: keepPreviousData,
  })
  return planned && data?.step === stepId ? data : undefined
}
