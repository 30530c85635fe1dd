import type { Conditions } from '../documents/conditions.ts'
import type { Fish } from '../documents/fish.ts'

/** What a fish makes of the conditions: a usual one is landed, and its mouth asked about. */
export const fishedFor = ({
  typicalMassKg,
  typicalLengthM,
  mouthWidthShare,
}: Fish): Pick<Conditions, 'fishMassKg' | 'mouthWidthM'> => ({
  fishMassKg: typicalMassKg,
  mouthWidthM: Number((typicalLengthM * mouthWidthShare).toFixed(4)),
})
