import type { Middleware } from 'koa'
import { HttpError } from './httpError.ts'

const MAX_PER_ADDRESS = 4
const MAX_IN_ALL = 40
/** A reader with more bytes waiting than this is slow; checked this often. */
const MAX_WAITING_BYTES = 64_000
const LOOK_MS = 1_000

/** Limits the open streams per address and in all, and closes a stream whose reader does not keep up. */
export function limitStreams(): Middleware {
  const open = new Map<string, number>()
  let all = 0
  return async (ctx, next) => {
    const { ip, res } = ctx
    const mine = open.get(ip) ?? 0
    if (mine >= MAX_PER_ADDRESS || all >= MAX_IN_ALL)
      throw new HttpError(503, 'too-many-streams', 'Too many tests are running. Stop one and try again.', { retryAfterS: 5 })
    open.set(ip, mine + 1)
    all += 1
    const look = setInterval(() => res.writableLength > MAX_WAITING_BYTES && res.destroy(), LOOK_MS)
    res.once('close', () => {
      clearInterval(look)
      all -= 1
      const left = (open.get(ip) ?? 1) - 1
      if (left > 0) open.set(ip, left)
      else open.delete(ip)
    })
    await next()
  }
}
