import type { IncomingMessage } from 'node:http'
import type { Middleware } from 'koa'

/** Beyond these limits the connection is closed. */
const MAX_BYTES = 64_000_000
const MAX_MS = 5_000

/**
 * Reads and discards what is left of a body after a refusal. Unread data would block the next request on the connection, and a client
 * that is still sending would not read the answer.
 */
export const drainBody: Middleware = async (ctx, next) => {
  await next()
  if (!ctx.req.complete) drain(ctx.req)
}

function drain(req: IncomingMessage): void {
  let bytes = 0
  const close = () => req.destroy()
  const timer = setTimeout(close, MAX_MS)
  req.on('data', (piece: Buffer) => {
    bytes += piece.length
    if (bytes > MAX_BYTES) close()
  })
  req.once('close', () => clearTimeout(timer))
  req.once('end', () => clearTimeout(timer))
  req.resume()
}
