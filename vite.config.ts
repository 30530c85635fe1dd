import { createHash } from 'node:crypto'
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import tailwind from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { build } from 'esbuild'
import { defineConfig, type Plugin } from 'vite'
import { CLIENT_FOLDER } from './scripts/lib/project.ts'
import { ROOT } from './src/server/root.ts'
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

/** Installed on a phone, the application opens without a network: its service worker is told every file of this version. */
const offline: Plugin = {
  name: 'offline',
  apply: 'build',
  async closeBundle() {
    const files = readdirSync(CLIENT_FOLDER, { recursive: true, encoding: 'utf8' }).filter((name) =>
      /\.(js|css|html|svg|woff2|webmanifest)$/.test(name),
    )
    const entries = files
      .sort()
      .map((url) => ({ url, revision: isNamedByContent(url) ? null : digestOf(join(CLIENT_FOLDER, url)) }))
    await build({
      entryPoints: [join(ROOT, 'src/offline/serviceWorker.ts')],
      outfile: join(CLIENT_FOLDER, 'serviceWorker.js'),
      bundle: true,
      minify: true,
      define: { 'self.__WB_MANIFEST': JSON.stringify(entries), 'process.env.NODE_ENV': '"production"' },
    })
  },
}
const isNamedByContent = (file: string) => file.startsWith('assets/')
const digestOf = (path: string) => createHash('sha256').update(readFileSync(path)).digest('hex').slice(0, 16)

export default defineConfig({
  root: 'src/client',
  plugins: [react({ jsxImportSource: '#regional' }), tailwind(), toastStylesByFile, preloadFont, offline],
  // Every page is served with a nonce of its own in its place.
  html: { cspNonce: NONCE_PLACE },
  build: {
    chunkSizeWarningLimit: 700,
    outDir: CLIENT_FOLDER,
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
