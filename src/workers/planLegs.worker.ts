import { type Plan, planLegs } from '../core/plan/planDay.ts'
import { answer } from './answer.ts'
import type { PlanLegsInput } from './planLegs.protocol.ts'

answer<PlanLegsInput, Plan>(({ legs, way }, onProgress) => planLegs(legs, way, onProgress))
