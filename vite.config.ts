import tailwind from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig, type Plugin } from 'vite'
import { NONCE_PLACE } from './src/shared/nonce.ts'

/** The toasts' styles come as a file (main.tsx): put into the page by their code, the page's rules would refuse them. */
const toastStylesByFile: Plugin = {
  name: 'toast-styles-by-file',
  transform: (code, id) => (/\/sonner\/dist\//.test(id) ? code.replace(/^__insertCSS\(.*\);?$/m, '') : undefined),
}

export default defineConfig({
  root: 'src/client',
  plugins: [react(), tailwind(), toastStylesByFile],
  // Every page is served with a nonce of its own in its place.
  html: { cspNonce: NONCE_PLACE },
  build: { chunkSizeWarningLimit: 700, outDir: '../../dist/client', emptyOutDir: true, manifest: true },
  server: { host: '127.0.0.1', port: 4174, proxy: { '/api': `http://127.0.0.1:${process.env.PORT ?? 4173}` } },
})
