import type { Mark } from '../documents/mark.ts'
import { calmDrift, type Water } from '../documents/water.ts'

/** A mark's water at its depth on the chart and the strongest of its springs: what a trace for it is judged in. */
export function springWater({ depthM, bed, method, scope, distanceM, weedFactor, stream }: Mark): Water {
  const streamMperS = Math.min(6, Math.max(...stream.map(({ springMperS }) => springMperS)))
  return {
    method,
    depthM: Math.max(1, depthM),
    streamMperS,
    bed,
    scope,
    distanceM,
    weedFactor,
    ...calmDrift(method, streamMperS),
  }
}
