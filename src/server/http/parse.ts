import type { Context } from 'koa'
import type { z } from 'zod'
import { issuesOf } from '../../core/documents/issue.ts'
import { HttpError } from './httpError.ts'

/** Reads an unknown value by its contract, or refuses it with every fault and its path. */
function parse<T>(schema: z.ZodType<T>, value: unknown, code: string, message: string): T {
  const parsed = schema.safeParse(value)
  if (parsed.success) return parsed.data
  const issues = issuesOf(parsed.error)
  throw new HttpError(400, code, `${message} ${issues[0]!.path.join('.')}: ${issues[0]!.message}`, { issues })
}

/** The request's JSON body by its contract. */
export function parseBody<T>(ctx: Context, schema: z.ZodType<T>): T {
  if (!ctx.is('application/json')) throw new HttpError(415, 'wrong-type', 'Send the body as application/json.')
  return parse(schema, ctx.request.body, 'invalid', 'The request is not valid.')
}

/** A part of the address by its contract; what does not parse names nothing that exists. */
export function parseParam<T>(value: string | undefined, schema: z.ZodType<T>, what: string): T {
  const parsed = schema.safeParse(value)
  if (!parsed.success) throw new HttpError(404, 'not-found', `This does not exist: ${what}.`)
  return parsed.data
}

export function parseQuery<T>(ctx: Context, schema: z.ZodType<T>): T {
  return parse(schema, ctx.query, 'invalid-query', 'The address is not valid.')
}
