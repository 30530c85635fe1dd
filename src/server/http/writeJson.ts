import type { Middleware } from 'koa'

/** Serialises an answer once; Koa would do it again for Content-Length. Files are left as they are. */
export const writeJson: Middleware = async (ctx, next) => {
  await next()
  if (typeof ctx.body !== 'object' || ctx.body === null || 'pipe' in ctx.body || Buffer.isBuffer(ctx.body)) return
  ctx.body = JSON.stringify(ctx.body)
  ctx.type = 'json'
}
