import type { Sensitivity } from '../core/moments/sensitivity.ts'
import type { SensitivityReply, SensitivityRequest } from './sensitivity.protocol.ts'

/** Asks a worker of its own, and ends it when it has answered or is no longer wanted. */
export function runSensitivity(request: SensitivityRequest, signal: AbortSignal): Promise<(Sensitivity | undefined)[]> {
  const worker = new Worker(new URL('./sensitivity.worker.ts', import.meta.url), { type: 'module' })
  return new Promise<(Sensitivity | undefined)[]>((resolve, reject) => {
    signal.addEventListener('abort', () => reject(signal.reason))
    worker.addEventListener('message', ({ data }: MessageEvent<SensitivityReply>) =>
      data.kind === 'done' ? resolve(data.results) : reject(new Error(data.message)),
    )
    worker.addEventListener('error', () => reject(new Error('The reckoning stopped.')))
    worker.postMessage(request)
  }).finally(() => worker.terminate())
}
