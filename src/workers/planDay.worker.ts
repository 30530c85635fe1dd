import { type Plan, type PlanInput, planDay } from '../core/plan/planDay.ts'
import { answer } from './answer.ts'

answer<PlanInput, Plan>(planDay)
