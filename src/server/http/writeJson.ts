import type { Middleware } from 'koa'

/** Turns an answer into text once: left as it is, it would be again by whoever asks how long it is. */
export const writeJson: Middleware = async (ctx, next) => {
  await next()
  if (typeof ctx.body !== 'object' || ctx.body === null || 'pipe' in ctx.body) return
  ctx.body = JSON.stringify(ctx.body)
  ctx.type = 'json'
}
