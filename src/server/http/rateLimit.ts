import type { Middleware } from 'koa'
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible'
import { isRead } from './allowedHosts.ts'
import { HttpError } from './httpError.ts'

const WINDOW_S = 10
/** Changes and calculations that one client may ask for in the window: many times what a person with every screen open does. */
export const DEFAULT_MOST = 4_000
/** A reading costs the server so much less than a change. */
const READS_FOR_ONE = 20

/** Refuses a client that sends more than any person would. */
export function limitRate(most: number): Middleware {
  const limiter = new RateLimiterMemory({ points: most * READS_FOR_ONE, duration: WINDOW_S })
  return async (ctx, next) => {
    try {
      await limiter.consume(ctx.ip, isRead(ctx) ? 1 : READS_FOR_ONE)
    } catch (refused) {
      if (!(refused instanceof RateLimiterRes)) throw refused
      const retryAfterS = Math.ceil(refused.msBeforeNext / 1_000)
      throw new HttpError(429, 'too-many', 'Too many requests. Try again in a moment.', { retryAfterS })
    }
    await next()
  }
}
