import { useQuery } from '@tanstack/react-query'
import { answer, http } from '../api/client'
import { figures, writeFigures } from '../ui/figures'
import { useLocation } from './router'

/** How the shop has its figures written; pages are drawn anew when that changes. */
export function useFigures() {
  const asked = useQuery({
    queryKey: ['settings', 'figures'],
    queryFn: () => answer(http.GET('/api/settings/figures')),
    staleTime: Infinity,
    // a device that is not let in yet is told nothing
    enabled: useLocation()[0] !== '/pair',
  })
  if (asked.data) writeFigures(asked.data)
  return `${figures.comma} ${figures.inches}`
}
