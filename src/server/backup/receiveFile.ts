import { createWriteStream } from 'node:fs'
import { rm } from 'node:fs/promises'
import type { IncomingMessage } from 'node:http'
import { Transform } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { HttpError } from '../http/httpError.ts'

export type ReceiveLimits = { maxBytes: number; minBytesPerS: number; graceMs: number }

const USUAL: ReceiveLimits = { maxBytes: 512_000_000, minBytesPerS: 32_000, graceMs: 5_000 }
const LOOK_MS = 500

/**
 * Writes a request’s body to a file.
 * @throws HttpError 413 if it is larger than any backup, 408 if it comes too slowly or stops. The file is deleted then.
 */
export async function receiveFile(req: IncomingMessage, file: string, limits: Partial<ReceiveLimits> = {}): Promise<void> {
  const { maxBytes, minBytesPerS, graceMs } = { ...USUAL, ...limits }
  let bytes = 0
  const counting = new Transform({
    transform(piece: Buffer, _encoding, done) {
      bytes += piece.length
      done(bytes > maxBytes ? new HttpError(413, 'too-large', 'The file is larger than any backup.') : null, piece)
    },
  })
  const beganMs = performance.now()
  const look = setInterval(() => {
    const tookMs = performance.now() - beganMs
    if (tookMs > graceMs && bytes < (minBytesPerS * (tookMs - graceMs)) / 1_000)
      counting.destroy(new HttpError(408, 'too-slow', 'The upload was too slow. Try again on a better connection.'))
  }, LOOK_MS)
  try {
    // Keep the request open after a refusal: the answer uses the same connection.
    await pipeline(req.iterator({ destroyOnReturn: false }), counting, createWriteStream(file, { mode: 0o600 }))
  } catch (error) {
    await rm(file, { force: true })
    throw error
  } finally {
    clearInterval(look)
  }
}
