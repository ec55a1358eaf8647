import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { answer, http, type Schemas } from '../api/client'
import { useInitials } from '../app/settings'

export type Work = Schemas['DayWork']
export type Wait = Schemas['DayWait']
export type Day = Schemas['DayView']

/**
 * The bench's day as it is planned; told anew when anything is written, and each minute. Asked only where it is shown:
 * planning is work.
 */
export const useDay = (shown = true) =>
  useQuery({
    queryKey: ['day'],
    enabled: shown,
    queryFn: () => answer(http.GET('/api/day')),
    // the next plan is on its way: it is asked for as soon as it can be there
    refetchInterval: (q) => (q.state.data?.stale ? 1000 : 30_000),
  })

/** What people say about the day: promises, hands, pins. */
export function useDayChanges() {
  const client = useQueryClient()
  const [by] = useInitials()
  const again = { onSettled: () => client.invalidateQueries({ queryKey: ['day'] }) }
  const path = (id: number) => ({ params: { path: { id } } })
  return {
    promise: useMutation({
      ...again,
      mutationFn: (v: { job: number; at: string | null }) =>
        answer(http.PUT('/api/jobs/{id}/promise', { ...path(v.job), body: { by, at: v.at } })),
    }),
    give: useMutation({
      ...again,
      mutationFn: (v: { job: number; initials: string | null }) =>
        answer(http.PUT('/api/jobs/{id}/hands', { ...path(v.job), body: { by, initials: v.initials } })),
    }),
    pin: useMutation({
      ...again,
      mutationFn: (v: { job: number; key: string; at: string | null }) =>
        answer(http.PUT('/api/jobs/{id}/pin', { ...path(v.job), body: { by, key: v.key, at: v.at } })),
    }),
  }
}
export type DayChanges = ReturnType<typeof useDayChanges>
