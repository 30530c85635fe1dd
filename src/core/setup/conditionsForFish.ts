import type { Conditions } from '../documents/conditions.ts'
import { type Fish, type Target, targetSchema } from '../documents/fish.ts'

const TARGET_FIELDS = Object.keys(targetSchema.shape) as (keyof Target)[]

/** A mouth that is worth asking about, m. */
const MOUTH_M = { least: 0.001, most: 2 }

/** A weight that somebody gave: it is no longer assumed. */
export const givenFish = (fishMassKg: number): Pick<Conditions, 'fishMassKg' | 'fishAssumed'> => ({
  fishMassKg,
  fishAssumed: undefined,
})

/** What a fish makes of the conditions: a usual one is landed, its mouth is asked about, and what decides of it is kept with them. */
export function conditionsForFish(fish: Fish): Pick<Conditions, 'fishMassKg' | 'fishAssumed' | 'mouthWidthM' | 'target'> {
  const mouthWidthM = Number((fish.typicalLengthM * fish.mouthWidthShare).toFixed(4))
  return {
    ...givenFish(fish.typicalMassKg),
    ...(mouthWidthM >= MOUTH_M.least && mouthWidthM <= MOUTH_M.most ? { mouthWidthM } : {}),
    target: Object.fromEntries(TARGET_FIELDS.map((field) => [field, fish[field]])) as Target,
  }
}
