import type { Catalogue } from '../catalogue/catalogue.ts'
import type { Bed, Landing } from '../catalogue/ids.ts'
import type { Conditions } from '../documents/conditions.ts'
import type { RuleSet } from '../documents/ruleSet.ts'
import { mainLine } from '../outfits/outfitLines.ts'
import type { Setup } from '../setup/setup.ts'

/** What a trace is for and who fishes it, as far as it decides of leader, hook and family; SI. */
export type Purpose = Pick<Conditions, 'target' | 'clarity' | 'light' | 'fishMassKg' | 'freeboardM'> & {
  bed?: Bed | undefined
  /** How the fish is landed: how much of its weight the line holds, whether a hand takes the line, and what the rod brings beyond its own, m. */
  landing: Catalogue['landings'][Landing]
  /** Label of the main line, N, and whether it is braid. */
  mainN: number
  braid: boolean
  rodLengthM: number
  ruleSet?: RuleSet | undefined
}

/** The purpose that conditions, outfit and rule set in force say. */
export function purposeOf({ conditions, outfit, catalogue }: Omit<Setup, 'trace'>, ruleSet?: RuleSet): Purpose {
  const { target, clarity, light, fishMassKg, freeboardM, water, landing } = conditions
  const main = mainLine(outfit)
  return {
    target,
    clarity,
    light,
    fishMassKg,
    freeboardM,
    bed: water?.bed,
    landing: catalogue.landings[landing],
    mainN: main.strengthN,
    braid: main.material === 'braid',
    rodLengthM: outfit.rod.lengthM,
    ruleSet,
  }
}
