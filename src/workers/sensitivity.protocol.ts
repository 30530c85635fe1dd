import type { Fished } from '../core/moments/levers.ts'
import type { MomentName } from '../core/moments/moment.ts'
import type { Sensitivity } from '../core/moments/sensitivity.ts'

/** What is asked of the worker: one moment, for several traces. */
export type SensitivityRequest = { fished: Fished[]; moment: MomentName }

/** What comes back, in the order asked; an error as data, since a thrown one loses its code on the way. */
export type SensitivityReply =
  | { kind: 'done'; results: (Sensitivity | undefined)[] }
  | { kind: 'failed'; code: string; message: string }
