import { runJob } from './runJob.ts'
import type { SensitivityRequest, SensitivityResult } from './sensitivity.protocol.ts'

export function runSensitivity(request: SensitivityRequest, signal: AbortSignal): Promise<SensitivityResult> {
  const worker = new Worker(new URL('./sensitivity.worker.ts', import.meta.url), { type: 'module' })
  return runJob(worker, request, signal)
}
