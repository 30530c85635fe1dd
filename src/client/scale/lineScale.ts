import type { Reading } from '../../core/learning/pullCurve.ts'
import type { Sample } from '../../shared/scale.ts'

/** A digital line scale, whatever it hangs on. */
export type LineScale = {
  name: string
  /**
   * Reads until the pull is over.
   * @throws Error where the scale falls silent before.
   */
  pull: (sample: Sample, onReading: (reading: Reading) => void, signal: AbortSignal) => Promise<void>
}
