import type { Conditions } from '../documents/conditions.ts'
import { type Fish, type Target, targetSchema } from '../documents/fish.ts'

const TARGET_FIELDS = Object.keys(targetSchema.shape) as (keyof Target)[]

/** What a fish makes of the conditions: a usual one is landed, its mouth is asked about, and what decides of it is kept with them. */
export const fishedFor = (fish: Fish): Pick<Conditions, 'fishMassKg' | 'mouthWidthM' | 'target'> => ({
  fishMassKg: fish.typicalMassKg,
  mouthWidthM: Number((fish.typicalLengthM * fish.mouthWidthShare).toFixed(4)),
  target: Object.fromEntries(TARGET_FIELDS.map((field) => [field, fish[field]])) as Target,
})
