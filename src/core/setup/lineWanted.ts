import { isCastMethod } from '../catalogue/methods.ts'
import { tipOverFeetM } from '../catalogue/rods.ts'
import type { Water } from '../documents/water.ts'
import { woundM } from '../outfits/outfitLines.ts'
import type { Setup } from './setup.ts'

type Ashore = Pick<Setup, 'outfit'> & { conditions: Pick<Setup['conditions'], 'freeboardM'> }

/** Height of the tip of a rod in its rest over the water, m. */
export const tipHeightM = ({ outfit, conditions }: Ashore): number => conditions.freeboardM + tipOverFeetM(outfit.rod)

/** Line that the water asks for with its scope: over the depth, or, cast, over the straight way from boat or rod tip to the sinker, m. */
export function lineWantedM(ashore: Ashore, { method, depthM, distanceM, scope }: Water): number {
  if (!isCastMethod(method)) return scope * depthM
  return scope * Math.hypot(distanceM, depthM + (method === 'shore' ? tipHeightM(ashore) : 0))
}

/** Line out in a run: as the conditions say, but at least what the water asks for, as far as it is wound, m. */
export function lineOutInRunM({ outfit, conditions, catalogue }: Pick<Setup, 'outfit' | 'conditions' | 'catalogue'>): number {
  const { water, lineOutM } = conditions
  const wantedM = water ? lineWantedM({ outfit, conditions }, water) : 0
  if (wantedM <= lineOutM) return lineOutM
  return Math.max(lineOutM, Math.min(wantedM, woundM(catalogue, outfit) * (1 - 1e-9)))
}
