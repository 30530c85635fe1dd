import tailwind from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'

export default defineConfig({
  root: 'src/client',
  plugins: [react(), tailwind()],
  build: { chunkSizeWarningLimit: 700, outDir: '../../dist/client', emptyOutDir: true, manifest: true },
  server: { host: '127.0.0.1', port: 4174, proxy: { '/api': `http://127.0.0.1:${process.env.PORT ?? 4173}` } },
})
