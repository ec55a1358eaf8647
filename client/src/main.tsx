import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { App } from './app/App'
import { releaseButtons } from './app/keys'
import { apply } from './app/settings'
import './app/theme.css'

apply()
if ('serviceWorker' in navigator)
  void navigator.serviceWorker
    .register('/sw.js')
    .then(() => navigator.serviceWorker.ready)
    .then((r) => {
      // what this page has loaded so far stays on the device
      const tell = () =>
        r.active?.postMessage(
          performance
            .getEntriesByType('resource')
            .map((e) => new URL(e.name).pathname)
            .filter((n) => n.startsWith('/assets/')),
        )
      tell()
      document.addEventListener('visibilitychange', tell)
      setInterval(tell, 20_000)
    })
    // a browser that does not trust the shop's certificate for good keeps no page: it works on while this one stays open
    .catch(() => {})
releaseButtons()
const queries = new QueryClient({
  defaultOptions: {
    queries: { retry: 1, staleTime: 2000, networkMode: 'always' },
    mutations: { networkMode: 'always' },
  },
})
createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      <App />
    </QueryClientProvider>
  </StrictMode>,
)
