import type { Middleware } from 'koa'
import type { Logger } from 'pino'
import { crewOf } from './crew.ts'

/** Notes who changed or was refused what, under the request's id: the address names the document, contents are never noted. */
export function requestLog(log: Logger): Middleware {
  return async (ctx, next) => {
    const beganMs = performance.now()
    await next()
    const isRead = ctx.method === 'GET' || ctx.method === 'HEAD'
    if (isRead && ctx.status < 400) return
    const { method, path, status } = ctx
    const tookMs = Math.round(performance.now() - beganMs)
    log.info({ requestId: ctx.state.requestId, crew: crewOf(ctx), method, path, status, tookMs }, 'request')
  }
}
