import { CoreError, type CoreErrorCode } from '../core/errors.ts'

/** What any worker answers: how far it is, what came out, or why nothing did; an error as data, since a thrown one loses its code. */
export type JobReply<Result> =
  | { kind: 'progress'; share: number }
  | { kind: 'done'; result: Result }
  | { kind: 'failed'; code: CoreErrorCode | 'failed'; message: string; details?: CoreError['details'] }

/**
 * Asks a worker one thing; it is asked the next one only when it has answered.
 * @param onProgress gets the share that is done, by workers that say it.
 * @throws CoreError as the job threw it, with its code; the signal’s reason where the job is no longer wanted.
 */
export function ask<Request, Result>(
  worker: Worker,
  request: Request,
  signal: AbortSignal,
  onProgress: (share: number) => void = () => {},
): Promise<Result> {
  const over = new AbortController()
  return new Promise<Result>((resolve, reject) => {
    if (signal.aborted) return reject(signal.reason)
    const listen = { signal: over.signal }
    signal.addEventListener('abort', () => reject(signal.reason), listen)
    worker.addEventListener(
      'message',
      ({ data }: MessageEvent<JobReply<Result>>) => {
        if (data.kind === 'progress') onProgress(data.share)
        else if (data.kind === 'done') resolve(data.result)
        else reject(data.code === 'failed' ? new Error(data.message) : new CoreError(data.code, data.message, data.details))
      },
      listen,
    )
    worker.addEventListener('error', () => reject(new Error('The calculation stopped.')), listen)
    worker.postMessage(request)
  }).finally(() => over.abort())
}

/** Gives a worker of its own one request, and ends it when it has answered or is no longer wanted. Otherwise as `ask`. */
export const runJob = <Request, Result>(
  worker: Worker,
  request: Request,
  signal: AbortSignal,
  onProgress?: (share: number) => void,
): Promise<Result> => ask<Request, Result>(worker, request, signal, onProgress).finally(() => worker.terminate())
