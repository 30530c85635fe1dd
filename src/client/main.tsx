import './settings/withoutEval.ts'
import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { setNonce } from 'get-nonce'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { RouterProvider } from 'react-router'
import { isSentAgain } from './api/http.ts'
import { router } from './routes.tsx'
import { PreferencesProvider } from './settings/preferences.tsx'
import { CatalogueProvider } from './shell/CatalogueProvider.tsx'
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
      retry: (times, error) => isSentAgain(times, error, false),
    },
    mutations: { networkMode: 'always', retry: (times, error) => isSentAgain(times, error, true) },
  },
})

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <PreferencesProvider>
      <QueryClientProvider client={client}>
        <CatalogueProvider>
          <RouterProvider router={router} />
        </CatalogueProvider>
      </QueryClientProvider>
    </PreferencesProvider>
  </StrictMode>,
)
