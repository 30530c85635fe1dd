import type { Pull } from '../core/documents/observation.ts'
import type { WorthTesting } from '../core/learning/testNext.ts'
import { runJob } from './runJob.ts'
import type { VerdictsRequest } from './verdicts.protocol.ts'

/** Traces as they came from the server, their outfits, and what was pulled. */
export type TestNextRequest = VerdictsRequest & { pulls: readonly Pull[] }

export function runTestNext(
  input: TestNextRequest,
  signal: AbortSignal,
  onProgress: (share: number) => void,
): Promise<WorthTesting[]> {
  const worker = new Worker(new URL('./testNext.worker.ts', import.meta.url), { type: 'module' })
  return runJob(worker, input, signal, onProgress)
}
