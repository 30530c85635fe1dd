/** What any worker answers: how far it is, what came out, or why nothing did; an error as data, since a thrown one loses its code. */
export type JobReply<Result> =
  | { kind: 'progress'; share: number }
  | { kind: 'done'; result: Result }
  | { kind: 'failed'; code: string; message: string }

/**
 * Gives a worker of its own one request, and ends it when it has answered or is no longer wanted.
 * @param onProgress told the share that is done, by workers that say it.
 */
export function runJob<Request, Result>(
  worker: Worker,
  request: Request,
  signal: AbortSignal,
  onProgress: (share: number) => void = () => {},
): Promise<Result> {
  return new Promise<Result>((resolve, reject) => {
    signal.addEventListener('abort', () => reject(signal.reason))
    worker.addEventListener('message', ({ data }: MessageEvent<JobReply<Result>>) => {
      if (data.kind === 'progress') onProgress(data.share)
      else if (data.kind === 'done') resolve(data.result)
      else reject(new Error(data.message))
    })
    worker.addEventListener('error', () => reject(new Error('The reckoning stopped.')))
    worker.postMessage(request)
  }).finally(() => worker.terminate())
}
