import { ask } from './runJob.ts'
import type { VerdictsRequest, VerdictsResult } from './verdicts.protocol.ts'

/** A worker that judges traces as often as it is asked; `close` ends it. */
export function openVerdicts() {
  const worker = new Worker(new URL('./verdicts.worker.ts', import.meta.url), { type: 'module' })
  return {
    of: (request: VerdictsRequest, signal: AbortSignal) => ask<VerdictsRequest, VerdictsResult>(worker, request, signal),
    close: () => worker.terminate(),
  }
}
