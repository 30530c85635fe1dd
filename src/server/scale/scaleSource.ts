import type { Reading } from '../../core/learning/pullCurve.ts'
import type { Sample } from '../../shared/scale.ts'

/** A digital line scale: what it reads while a sample is pulled, until some time after it has let go. */
export type ScaleSource = { pull: (sample: Sample) => Iterable<Reading> }
