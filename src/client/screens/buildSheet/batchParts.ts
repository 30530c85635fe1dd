import type { LineNeed, NeedCut } from '../../../core/batch/needs.ts'
import type { Step } from '../../../core/build/steps.ts'

// The names under which what is done of a batch is stored. A batch keeps its revision, so they stay.

/** The cuts of one length from one line. */
export const cutPart = (need: LineNeed, cut: NeedCut): string => `cut ${need.piece} ${Math.round(cut.cutM * 1000)}`

/** A step of the build, by its place among the steps of the trace. */
export const stepPart = (step: Step, place: number): string => `step ${place + 1} ${step.do}`
