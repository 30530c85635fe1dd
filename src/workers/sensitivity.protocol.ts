import type { Sensitivity } from '../core/analysis/sensitivity.ts'
import type { MomentName } from '../core/moments/moments.ts'
import type { Setup } from '../core/setup/setup.ts'

/** What is asked of the worker: one moment, for several setups. */
export type SensitivityRequest = { setups: Setup[]; moment: MomentName }

/** What comes back, in the order asked. */
export type SensitivityResult = (Sensitivity | undefined)[]
