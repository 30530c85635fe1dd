import type { Leg, Way } from '../core/plan/planDay.ts'

export type PlanLegsInput = { legs: readonly Leg[]; way: Way }
