import type { Middleware } from 'koa'
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible'
import { HttpError } from './httpError.ts'

const WINDOW_S = 10
/** Requests that one client may send in the window: many times what a person with every screen open does. */
export const USUAL_MOST = 4_000

/** Refuses a client that sends more than any person would. */
export function limitRate(most: number): Middleware {
  const limiter = new RateLimiterMemory({ points: most, duration: WINDOW_S })
  return async (ctx, next) => {
    try {
      await limiter.consume(ctx.ip)
    } catch (refused) {
      if (!(refused instanceof RateLimiterRes)) throw refused
      const retryAfterS = Math.ceil(refused.msBeforeNext / 1_000)
      throw new HttpError(429, 'too-many', 'Too many requests from here. Try again in a moment.', { retryAfterS })
    }
    await next()
  }
}
