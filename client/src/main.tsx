import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { BrowserRouter } from 'react-router'
import { App } from './app/App'
import { releaseButtons } from './app/keys'
import { apply } from './app/settings'
import './app/theme.css'

apply()
releaseButtons()
const queries = new QueryClient({ defaultOptions: { queries: { retry: 1, staleTime: 2000 } } })
createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      <BrowserRouter>
        <App />
      </BrowserRouter>
    </QueryClientProvider>
  </StrictMode>,
)
