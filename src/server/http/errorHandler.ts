import { randomUUID } from 'node:crypto'
import type { Context, Middleware } from 'koa'
import type { Logger } from 'pino'
import { CoreError } from '../../core/errors.ts'
import type { ErrorBody } from '../../shared/errors.ts'
import { isDatabaseAway, isDiskFull } from '../db/database.ts'
import { HttpError } from './httpError.ts'

/** How soon a database that is away is worth asking again. */
const DATABASE_RETRY_S = 2
/** Someone has to make room first. */
const DISK_RETRY_S = 30

type Answer = { status: number; error: Omit<ErrorBody['error'], 'requestId'>; extra?: object; retryAfterS?: number | undefined }

export const isApi = (path: string): boolean => /^\/api(\/|$)/i.test(path)

/** The one place that decides what leaves the server when a step throws; the rest is logged under the request's id. */
export function errorHandler(log: Logger): Middleware {
  return async (ctx, next) => {
    const requestId = randomUUID()
    ctx.state.requestId = requestId
    ctx.set('X-Request-Id', requestId)
    try {
      await next()
      const missed = missedRoute(ctx)
      if (missed) throw missed
    } catch (error) {
      const { status, error: answer, extra, retryAfterS } = answerFor(error)
      if (status >= 500) log.error({ err: error, requestId, method: ctx.method, path: ctx.path }, 'request failed')
      if (retryAfterS !== undefined) ctx.set('Retry-After', String(retryAfterS))
      ctx.status = status
      ctx.body = { ...extra, error: { ...answer, requestId } } satisfies ErrorBody
    }
  }
}

/** What the router left unanswered: nothing there, or not by this method. */
function missedRoute({ status, body, path, method }: Context): HttpError | undefined {
  if (body !== undefined && body !== null) return undefined
  if (status === 405 || status === 501) return new HttpError(405, 'wrong-method', `${method} is not allowed at this address.`)
  return status === 404 && isApi(path) ? new HttpError(404, 'no-such-route', `There is no page at ${method} ${path}.`) : undefined
}

function answerFor(error: unknown): Answer {
  if (error instanceof HttpError) {
    const { status, code, message, issues, extra, retryAfterS } = error
    return { status, error: { code, message, ...(issues ? { issues } : {}) }, extra, retryAfterS }
  }
  if (error instanceof CoreError) {
    const { code, message, details } = error
    return { status: 422, error: { code, message, details } }
  }
  if (isDiskFull(error))
    return {
      status: 503,
      error: {
        code: 'disk-full',
        message: 'The disk of the database is full. Nothing was changed. Free some space and try again.',
      },
      retryAfterS: DISK_RETRY_S,
    }
  if (isDatabaseAway(error))
    return {
      status: 503,
      error: { code: 'database-away', message: 'The database cannot be reached right now. Nothing was changed. Try again.' },
      retryAfterS: DATABASE_RETRY_S,
    }
  return { status: 500, error: { code: 'internal', message: 'The server had an error, which is in its log.' } }
}
