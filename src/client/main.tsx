import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { setNonce } from 'get-nonce'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { RouterProvider } from 'react-router'
import { ApiError } from './api/http.ts'
import { router } from './routes.tsx'
import { PreferencesProvider } from './settings/preferences.tsx'
import 'sonner/dist/styles.css'
import './styles.css'

// Dialogs put a style into the page while they are open.
setNonce(document.querySelector<HTMLMetaElement>('meta[property=csp-nonce]')?.nonce ?? '')

const client = new QueryClient({
  defaultOptions: {
    queries: {
      // The server is on this machine: it is asked even when the browser thinks it has no network.
      networkMode: 'always',
      staleTime: 5_000,
      retry: (count, error) => count < 2 && error instanceof ApiError && (error.code === 'offline' || error.status >= 500),
    },
    mutations: { networkMode: 'always' },
  },
})

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <PreferencesProvider>
      <QueryClientProvider client={client}>
        <RouterProvider router={router} />
      </QueryClientProvider>
    </PreferencesProvider>
  </StrictMode>,
)
