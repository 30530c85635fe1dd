import tailwind from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig, type Plugin } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'
import { NONCE_PLACE } from './src/shared/nonce.ts'

/** The toasts' styles come as a file (main.tsx): put into the page by their code, the page's rules would refuse them. */
const toastStylesByFile: Plugin = {
  name: 'toast-styles-by-file',
  transform: (code, id) => (/\/sonner\/dist\//.test(id) ? code.replace(/^__insertCSS\(.*\);?$/m, '') : undefined),
}

/** The font of most texts loads with the page, not after its styles. */
const preloadFont: Plugin = {
  name: 'preload-font',
  transformIndexHtml: {
    order: 'post',
    handler: (_html, { bundle = {} }) => {
      const file = Object.keys(bundle).find((name) => /-latin-wght-normal-.*\.woff2$/.test(name))
      if (!file) return []
      return [
        {
          tag: 'link',
          attrs: { rel: 'preload', as: 'font', type: 'font/woff2', href: `/${file}`, crossorigin: true },
          injectTo: 'head',
        },
      ]
    },
  },
}

/** Installed on a phone, the application opens without a network. */
const offline = VitePWA({
  strategies: 'injectManifest',
  srcDir: '../offline',
  filename: 'serviceWorker.ts',
  injectRegister: false,
  registerType: 'prompt',
  injectManifest: { globPatterns: ['**/*.{js,css,html,svg,woff2}'], globIgnores: ['**/serviceWorker.js'] },
  manifest: {
    name: 'Wide Reach',
    short_name: 'Wide Reach',
    description: 'Saltwater traces, tides and trips.',
    start_url: '/',
    display: 'standalone',
    background_color: '#edf1ee',
    theme_color: '#edf1ee',
    icons: [{ src: '/icon.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
  },
})

export default defineConfig({
  root: 'src/client',
  plugins: [react({ jsxImportSource: '#regional' }), tailwind(), toastStylesByFile, preloadFont, offline],
  // Every page is served with a nonce of its own in its place.
  html: { cspNonce: NONCE_PLACE },
  build: {
    chunkSizeWarningLimit: 700,
    outDir: '../../dist/client',
    emptyOutDir: true,
    manifest: true,
    rolldownOptions: {
      output: {
        codeSplitting: {
          // Each file is a request, and a start is bound by their number: what is read first is one, and what two screens share another.
          // Groups may not import each other in a ring, which reads constants before they are set; npm test looks for that.
          groups: [
            { name: 'first', tags: ['$initial'], priority: 2 },
            // Dialogs; the help that is on every page needs them and nothing else that is shared.
            { name: 'panel', test: /src.client.ui.Panel/, priority: 1.7 },
            { name: 'shared', minShareCount: 2, priority: 1 },
          ],
        },
      },
    },
  },
  server: { host: '127.0.0.1', port: 4174, proxy: { '/api': `http://127.0.0.1:${process.env.PORT ?? 4173}` } },
})
