import type { Plan, PlanInput } from '../core/plan/planDay.ts'
import { runJob } from './runJob.ts'

export function runPlanDay(input: PlanInput, signal: AbortSignal, onProgress: (share: number) => void): Promise<Plan> {
  const worker = new Worker(new URL('./planDay.worker.ts', import.meta.url), { type: 'module' })
  return runJob(worker, input, signal, onProgress)
}
