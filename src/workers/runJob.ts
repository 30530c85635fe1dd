import { CoreError, type CoreErrorCode } from '../core/errors.ts'

/** What any worker answers: how far it is, what came out, or why nothing did; an error as data, since a thrown one loses its code. */
export type JobReply<Result> =
  | { kind: 'progress'; share: number }
  | { kind: 'done'; result: Result }
  | { kind: 'failed'; code: CoreErrorCode | 'failed'; message: string; details?: CoreError['details'] }

/**
 * Gives a worker of its own one request, and ends it when it has answered or is no longer wanted.
 * @param onProgress told the share that is done, by workers that say it.
 * @throws CoreError as the job threw it, with its code; the signal’s reason where the job is no longer wanted.
 */
export function runJob<Request, Result>(
  worker: Worker,
  request: Request,
  signal: AbortSignal,
  onProgress: (share: number) => void = () => {},
): Promise<Result> {
  return new Promise<Result>((resolve, reject) => {
    const stop = () => reject(signal.reason)
    if (signal.aborted) return stop()
    signal.addEventListener('abort', stop, { once: true })
    worker.addEventListener('message', ({ data }: MessageEvent<JobReply<Result>>) => {
      if (data.kind === 'progress') onProgress(data.share)
      else if (data.kind === 'done') resolve(data.result)
      else reject(data.code === 'failed' ? new Error(data.message) : new CoreError(data.code, data.message, data.details))
    })
    worker.addEventListener('error', () => reject(new Error('The calculation stopped.')))
    worker.postMessage(request)
  }).finally(() => worker.terminate())
}
