import { CoreError } from '../core/errors.ts'
import type { JobReply } from './runJob.ts'

/** In a worker: does the job on each request, and answers with what came out or why nothing did. */
export function answer<Request, Result>(job: (request: Request, onProgress: (share: number) => void) => Result): void {
  const reply = (message: JobReply<Result>) => postMessage(message)
  addEventListener('message', ({ data }: MessageEvent<Request>) => {
    try {
      reply({ kind: 'done', result: job(data, (share) => reply({ kind: 'progress', share })) })
    } catch (error) {
      reply({ kind: 'failed', code: error instanceof CoreError ? error.code : 'failed', message: (error as Error).message })
    }
  })
}
