import type { Plan } from '../core/plan/planDay.ts'
import type { PlanLegsInput } from './planLegs.protocol.ts'
import { runJob } from './runJob.ts'

export function runPlanLegs(input: PlanLegsInput, signal: AbortSignal, onProgress: (share: number) => void): Promise<Plan> {
  const worker = new Worker(new URL('./planLegs.worker.ts', import.meta.url), { type: 'module' })
  return runJob(worker, input, signal, onProgress)
}
