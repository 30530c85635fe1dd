import type { IncomingMessage } from 'node:http'
import type { Middleware } from 'koa'

/** What is left of a refused body is read and thrown away up to here; past it the connection is closed. */
const MAX_BYTES = 64_000_000
const MAX_MS = 5_000

/**
 * Reads what a step left unread of a body, as after a refusal by its size. Left there, it would block the connection for the next
 * request, and a client that is still sending would not read its answer.
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
