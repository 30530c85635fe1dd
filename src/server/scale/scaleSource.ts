import type { Reading } from '../../core/learning/pullCurve.ts'

/** What is on the scale: about where it would be thought to break, and which samples are of one kind. */
export type Sample = { aboutN: number; kind: string }

/** A digital line scale: what it reads while a sample is pulled, until some time after it has let go. */
export type ScaleSource = { pull: (sample: Sample) => Iterable<Reading> }
