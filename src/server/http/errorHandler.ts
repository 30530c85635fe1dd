import { randomUUID } from 'node:crypto'
import type { Middleware } from 'koa'
import type { Logger } from 'pino'
import { CoreError } from '../../core/errors.ts'
import type { ErrorBody } from '../../shared/errors.ts'
import { isDatabaseAway } from '../db/database.ts'
import { HttpError } from './httpError.ts'

/** The one place that decides what leaves the server when a step throws; the rest is logged under the request's id. */
export function errorHandler(log: Logger): Middleware {
  return async (ctx, next) => {
    const requestId = randomUUID()
    ctx.set('X-Request-Id', requestId)
    try {
      await next()
      if (ctx.status === 404 && ctx.body === undefined && ctx.path.startsWith('/api'))
        throw new HttpError(404, 'no-such-route', `There is nothing at ${ctx.method} ${ctx.path}.`)
    } catch (error) {
      const { status, body } = answerFor(error, requestId)
      if (status >= 500) log.error({ err: error, requestId, method: ctx.method, path: ctx.path }, 'request failed')
      ctx.status = status
      ctx.body = body
    }
  }
}

function answerFor(error: unknown, requestId: string): { status: number; body: ErrorBody & Record<string, unknown> } {
  if (error instanceof HttpError) {
    const { status, code, message, issues, extra } = error
    return { status, body: { ...extra, error: { code, message, requestId, ...(issues ? { issues } : {}) } } }
  }
  if (error instanceof CoreError) {
    const { code, message, details } = error
    return { status: 422, body: { error: { code, message, requestId, details } } }
  }
  if (isDatabaseAway(error))
    return {
      status: 503,
      body: {
        error: {
          code: 'database-away',
          message: 'The database cannot be reached just now. Nothing was changed; try again.',
          requestId,
        },
      },
    }
  const refused = bodyParserRefusal(error)
  if (refused) return { status: refused.status, body: { error: { code: refused.code, message: refused.message, requestId } } }
  return {
    status: 500,
    body: { error: { code: 'internal', message: 'Something went wrong in the server; it was logged.', requestId } },
  }
}

/** The body parser throws plain errors with a status; only these words of theirs are passed on. */
function bodyParserRefusal(error: unknown): { status: number; code: string; message: string } | undefined {
  const status = (error as { status?: unknown } | undefined)?.status
  if (status === 413) return { status, code: 'too-large', message: 'The body is larger than 1 MB.' }
  if (status === 400) return { status, code: 'bad-json', message: 'The body is not valid JSON.' }
  if (status === 415) return { status, code: 'wrong-type', message: 'The body’s encoding is not understood.' }
  return undefined
}
