import { hasTide, type Mark } from '../documents/mark.ts'
import { calmDrift, type Water } from '../documents/water.ts'

/** The fastest stream that water may have, m/s. */
const MAX_MPERS = 6

/** A mark's water at its depth on the chart and the strongest of its springs and of its neaps: what a trace for it is judged in until a day is chosen. */
export function springWater(mark: Mark): Water {
  const { depthM, bed, method, scope, distanceM, weedFactor, stream } = mark
  const peak = (of: 'springMperS' | 'neapMperS') => Math.min(MAX_MPERS, Math.max(...stream.map((row) => row[of])))
  const streamMperS = peak('springMperS')
  return {
    method,
    depthM: Math.max(1, depthM),
    streamMperS,
    ...(hasTide(mark) && { neapMperS: peak('neapMperS') }),
    bed,
    scope,
    distanceM,
    weedFactor,
    ...calmDrift(method, streamMperS),
  }
}
