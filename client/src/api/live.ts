import { useQueryClient } from '@tanstack/react-query'
import { useEffect } from 'react'

/** Shells of jobs and benches are read again as soon as anybody changes something; polling stays as the slow way round. */
export function useLive(wanted: boolean) {
  const client = useQueryClient()
  useEffect(() => {
    if (!wanted) return
    const source = new EventSource('/api/live')
    const again = () => {
      void client.invalidateQueries({ queryKey: ['shell'] })
      void client.invalidateQueries({ queryKey: ['bench'] })
      void client.invalidateQueries({ queryKey: ['day'] })
    }
    source.addEventListener('changed', again)
    return () => source.close()
  }, [client, wanted])
}
