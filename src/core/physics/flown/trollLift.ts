import { CoreError } from '../../errors.ts'
import { findRoot } from '../../math/findRoot.ts'
import { type TrollDepthInput, trollDepth } from './trollDepth.ts'

export type TrollLiftInput = Omit<TrollDepthInput, 'endLiftAreaM2'> & { depthM: number }

/** Lips that are thought of at all, m². */
const MIN_M2 = 1e-7
const MAX_M2 = 1
/** Relative error allowed in the area, and that of the line's steps, well under it: there and back must meet. */
const TOLERANCE = 1e-9
const STEPS = 1e-10

/**
 * The lip that takes a lure to the depth that it is rated for, at the rating's speed and on its line: the root of `trollDepth` in log
 * area. A lip that does not take it down, or not to the line's end, counts as depth nought.
 * @throws CoreError 'no-root' with the end it lies beyond.
 */
export function trollLift({ depthM, ...rest }: TrollLiftInput): { endLiftAreaM2: number } {
  const over = (logArea: number) => {
    try {
      return trollDepth({ ...rest, endLiftAreaM2: Math.exp(logArea) }, { tolerance: STEPS }).depthM - depthM
    } catch (error) {
      if (error instanceof CoreError && (error.code === 'does-not-sink' || error.code === 'blown-out')) return -depthM
      throw error
    }
  }
  const [low, high] = [Math.log(MIN_M2), Math.log(MAX_M2)]
  if (over(low) > 0)
    throw new CoreError('no-root', `It runs deeper than ${depthM} m with no lip at all`, { value: MIN_M2, end: 'least' })
  if (over(high) < 0)
    throw new CoreError('no-root', `No lip takes it to ${depthM} m on this line`, { value: MAX_M2, end: 'most' })
  return { endLiftAreaM2: Math.exp(findRoot(over, low, high, TOLERANCE)) }
}
