import type { Catalogue } from '../catalogue/catalogue.ts'
import { familyFishingMode } from '../catalogue/familyIds.ts'
import { hookSuggest, STRAIGHTEN_MARGIN, type SuggestedHook } from '../catalogue/hookSuggest.ts'
import { isCircle } from '../catalogue/hooks.ts'
import type { BaitForm, BaitType, HookPattern } from '../catalogue/ids.ts'
import { mostCastKg } from '../catalogue/rods.ts'
import { borneN, handLimits } from '../moments/landed.ts'
import { biteTracesFor } from '../purpose/biteTrace.ts'
import { hookKindsFor } from '../purpose/hookKind.ts'
import { leaderFor } from '../purpose/leader.ts'
import type { Purpose } from '../purpose/purpose.ts'
import { baitedHooks } from '../setup/baiting.ts'
import { prepareSetup } from '../setup/prepareSetup.ts'
import type { Setup } from '../setup/setup.ts'
import type { Family, UserChoices, Wishes } from './family.ts'

/** Bait’s depth over the width of a mouth, and its length over the fish’s, that a fish takes with ease. Ours. */
const BAIT_OVER_MOUTH = 0.8
const BAIT_OVER_FISH = 0.5
/** Bait over the mass of the fish that it is worth its while from; and over what the rod casts at most. Ours. */
const WORTH = 0.002
const BAIT_OVER_CAST = 1 / 2

/** A family that takes a bait, and what was said of it. */
type ForFishInput = Omit<Setup, 'trace'> & { family: Family; said: UserChoices; purpose: Purpose }

/** Bait, kind of hook and bite trace for the fish, where nobody said. */
export function forFish(asked: ForFishInput): Partial<Wishes> {
  const { family, said, catalogue, purpose } = asked
  const { atHookN } = leaderFor(purpose, { usualN: 0, usualM: 0 })
  const bite = said.bite ?? biteTracesFor(purpose, atHookN).find(({ barred }) => !barred)?.kind ?? 'none'
  const bait = said.bait ?? (family.bait && baitFor(catalogue, family.bait, asked))
  if (bait === undefined) return { bite }
  const pattern = hookKindsFor(purpose, canUseLiveBait(catalogue, family, bait))[0]?.pattern ?? 'circle'
  return { bite, bait, hookPattern: bite === 'longShank' && !isCircle(pattern) ? 'longShank' : pattern }
}

/** Whether a bait may be fished alive in a family: one that swims or hangs. */
export const canUseLiveBait = ({ baits, baitForms }: Catalogue, { id }: Family, bait: BaitType): boolean =>
  baitForms[baits[bait].form].live && ['swims', 'hangs'].includes(familyFishingMode(id))

/**
 * The family’s bait where the fish takes it with ease, it is worth its while, and the rod throws it beside a sinker; else the smallest
 * that is worth its while, or the largest that it takes.
 */
export function baitFor(
  { baits }: Catalogue,
  usual: BaitType,
  { conditions: { target, mouthWidthM, castStyle }, outfit }: Pick<Setup, 'conditions' | 'outfit'>,
): BaitType {
  const thrownKg = castStyle === 'none' ? Number.POSITIVE_INFINITY : BAIT_OVER_CAST * mostCastKg(outfit.rod)
  const fits = (id: BaitType) =>
    baits[id].depthM <= BAIT_OVER_MOUTH * (mouthWidthM ?? Number.POSITIVE_INFINITY) &&
    baits[id].lengthM <= BAIT_OVER_FISH * (target?.typicalLengthM ?? Number.POSITIVE_INFINITY) &&
    baits[id].massKg <= thrownKg
  const isWorth = (id: BaitType) => baits[id].massKg >= WORTH * (target?.typicalMassKg ?? 0)
  if (fits(usual) && isWorth(usual)) return usual
  const fitting = (Object.keys(baits) as BaitType[]).filter(fits).toSorted((a, b) => baits[a].massKg - baits[b].massKg)
  const worth = fitting.filter(isWorth)
  return worth.find((id) => isFlesh(baits[id].form) === isFlesh(baits[usual].form)) ?? worth[0] ?? fitting.at(-1) ?? usual
}

/** Fish and squid, whole or cut, against worm, crab, shell and prawn. */
const isFlesh = (form: BaitForm) => ['fish', 'piece', 'strip', 'squid'].includes(form)

/** The hook that suits the bait on it best: of the pattern it has, or of its heavy form where the wire would open. */
export function suggestedHook(setup: Setup): { pattern: HookPattern; size: string } | undefined {
  const [baited] = baitedHooks(prepareSetup(setup))
  if (!baited) return undefined
  const { conditions, catalogue } = setup
  // Drag or landing, whichever asks more of the wire.
  const landing = catalogue.landings[conditions.landing]
  const landedN = handLimits(landing).holds * borneN(landing, conditions.fishMassKg)
  const loadN = Math.max(conditions.dragN, landedN / STRAIGHTEN_MARGIN.holds)
  const best = (pattern: HookPattern): SuggestedHook | undefined =>
    hookSuggest(catalogue, { pattern, ...baited.wanted, loadN }).sizes[0]
  const { pattern } = baited.hook
  const first = best(pattern)
  const heavy = pattern === 'circle' ? best('heavyCircle') : undefined
  if (heavy && first?.why.includes('opens') && !heavy.why.includes('opens')) return { pattern: 'heavyCircle', size: heavy.size }
  return first && { pattern, size: first.size }
}
