import type { Reading } from '../../core/learning/pullCurve.ts'

/** What is put on the scale: about where it would be thought to break, and which samples are of one kind. */
export type Sample = { aboutN: number; kind: string }

/** A digital line scale, whatever it hangs on. */
export type LineScale = {
  name: string
  /**
   * Reads until the pull is over.
   * @throws Error where the scale falls silent before.
   */
  pull: (sample: Sample, onReading: (reading: Reading) => void, signal: AbortSignal) => Promise<void>
}
