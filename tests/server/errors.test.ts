import pino from 'pino'
import { describe, expect, test } from 'vitest'
import { CoreError } from '../../src/core/errors.ts'
import { isDatabaseAway } from '../../src/server/db/database.ts'
import { errorHandler } from '../../src/server/http/errorHandler.ts'
import { HttpError } from '../../src/server/http/httpError.ts'

/** What the handler makes of an error thrown by a step. */
async function answerTo(error: unknown) {
  const ctx: any = { path: '/api/x', method: 'GET', status: 200, state: {}, set: () => {} }
  await errorHandler(pino({ level: 'silent' }))(ctx, async () => {
    throw error
  })
  return { status: ctx.status as number, body: ctx.body as any }
}
const withCode = (code: string, message = 'x') => Object.assign(new Error(message), { code })

describe('one place decides what leaves the server', () => {
  test.each([
    [new HttpError(409, 'stale', 'later', { extra: { current: 1 } }), 409, 'stale'],
    [new CoreError('overfull', 'no room', { value: 2 }), 422, 'overfull'],
    [withCode('ECONNREFUSED'), 503, 'database-away'],
    [withCode('57P01'), 503, 'database-away'],
    [withCode('53100', 'could not extend file'), 503, 'disk-full'],
    [withCode('53300'), 503, 'database-away'],
    [new Error('timeout exceeded when trying to connect'), 503, 'database-away'],
    [new HttpError(503, 'busy', 'later', { retryAfterS: 2 }), 503, 'busy'],
    [new Error('select password from secrets'), 500, 'internal'],
    ['a thrown word', 500, 'internal'],
    [undefined, 500, 'internal'],
  ])('%s', async (error, status, code) => {
    const answer = await answerTo(error)
    expect([answer.status, answer.body.error.code]).toEqual([status, code])
    expect(JSON.stringify(answer.body)).not.toContain('secrets')
    expect(answer.body.error.requestId).toMatch(/^[0-9a-f-]{36}$/)
  })

  test('a wrong statement is not a database that is away', () => {
    expect(isDatabaseAway(withCode('42P01', 'relation does not exist'))).toBe(false)
    expect(isDatabaseAway('ECONNREFUSED')).toBe(false)
  })
})
