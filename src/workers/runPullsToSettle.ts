import type { PullCount, ToSettle } from '../core/learning/pullsToSettle.ts'
import { runJob } from './runJob.ts'

export function runPullsToSettle(input: ToSettle, signal: AbortSignal, onProgress: (share: number) => void): Promise<PullCount> {
  const worker = new Worker(new URL('./pullsToSettle.worker.ts', import.meta.url), { type: 'module' })
  return runJob(worker, input, signal, onProgress)
}
