import { bodyParser } from '@koa/bodyparser'
import type { Middleware } from 'koa'
import { HttpError } from './httpError.ts'
import { isTooDeep } from './nesting.ts'

/** A mark with the longest table of heights takes half of it. */
const LARGEST_BODY_KB = 384

/** Reads a body of JSON; whatever is wrong with one is a refusal in words, never the server’s fault. */
export function readBody(): Middleware {
  const read = bodyParser({
    enableTypes: ['json'],
    jsonLimit: `${LARGEST_BODY_KB}kb`,
    jsonStrict: false,
    onError: (error) => {
      throw refusalOf((error as { status?: unknown }).status)
    },
  })
  return (ctx, next) =>
    read(ctx, async () => {
      if (isTooDeep(ctx.request.body)) throw new HttpError(400, 'too-deep', 'The body is nested too deeply.')
      await next()
    })
}

function refusalOf(status: unknown): HttpError {
  if (status === 413) return new HttpError(413, 'too-large', `The body is larger than ${LARGEST_BODY_KB} kB.`)
  if (status === 415) return new HttpError(415, 'wrong-type', 'The encoding of the request is not supported.')
  // Anything else: no JSON, or not packed as it claims to be.
  return new HttpError(400, 'bad-json', 'The body is not valid JSON.')
}
