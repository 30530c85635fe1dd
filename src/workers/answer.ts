import { CoreError } from '../core/errors.ts'
import type { JobReply } from './runJob.ts'

/** In a worker: does the job on each request, and answers with what came out or why nothing did. */
export function answer<Request, Result>(job: (request: Request, onProgress: (share: number) => void) => Result): void {
  const reply = (message: JobReply<Result>) => postMessage(message)
  addEventListener('message', ({ data }: MessageEvent<Request>) => {
    try {
      reply({ kind: 'done', result: job(data, (share) => reply({ kind: 'progress', share })) })
    } catch (error) {
      const details = error instanceof CoreError ? { code: error.code, details: error.details } : { code: 'failed' as const }
      reply({ kind: 'failed', ...details, message: error instanceof Error ? error.message : String(error) })
    }
  })
}
