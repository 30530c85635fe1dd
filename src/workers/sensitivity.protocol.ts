import type { Fished } from '../core/moments/levers.ts'
import type { MomentName } from '../core/moments/moment.ts'
import type { Sensitivity } from '../core/moments/sensitivity.ts'

/** What is asked of the worker: one moment, for several traces. */
export type SensitivityRequest = { fished: Fished[]; moment: MomentName }

/** What comes back, in the order asked. */
export type SensitivityResult = (Sensitivity | undefined)[]
