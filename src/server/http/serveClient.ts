import { randomBytes } from 'node:crypto'
import { existsSync } from 'node:fs'
import { readFile } from 'node:fs/promises'
import { join } from 'node:path'
import type { Middleware } from 'koa'
import serve from 'koa-static'
import { NONCE_PLACE } from '../../shared/nonce.ts'
import { isApi } from './errorHandler.ts'
import { allowStyles } from './securityHeaders.ts'

/** The built client: hashed files for good, and its one page for every address of the application. */
export function serveClient(folder: string): Middleware[] {
  const page = join(folder, 'index.html')
  const setHeaders = (res: { setHeader: (name: string, value: string) => void }, path: string) =>
    res.setHeader('Cache-Control', path.includes('/assets/') ? 'public, max-age=31536000, immutable' : 'no-cache')
  const files = serve(folder, { setHeaders, index: false })
  return [
    (ctx, next) => (ctx.path === '/index.html' ? next() : files(ctx, next)),
    async (ctx) => {
      const isRead = ctx.method === 'GET' || ctx.method === 'HEAD'
      if (!isRead || isApi(ctx.path) || ctx.path.startsWith('/assets/') || !existsSync(page)) return
      const nonce = randomBytes(16).toString('base64')
      allowStyles(ctx, nonce)
      ctx.type = 'html'
      ctx.set('Cache-Control', 'no-cache')
      ctx.body = (await readFile(page, 'utf8')).replaceAll(NONCE_PLACE, nonce)
    },
  ]
}
