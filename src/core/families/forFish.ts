import type { Catalogue } from '../catalogue/catalogue.ts'
import { familyFishes } from '../catalogue/familyIds.ts'
import { hookSuggest, type SuggestedHook } from '../catalogue/hookSuggest.ts'
import { isCircle } from '../catalogue/hooks.ts'
import type { BaitType, HookPattern } from '../catalogue/ids.ts'
import type { Conditions } from '../documents/conditions.ts'
import { biteTracesFor } from '../purpose/biteTrace.ts'
import { hookKindsFor } from '../purpose/hookKind.ts'
import { leaderFor } from '../purpose/leader.ts'
import type { Purpose } from '../purpose/purpose.ts'
import { baitedHooks } from '../setup/baiting.ts'
import { prepareSetup } from '../setup/prepareSetup.ts'
import type { Setup } from '../setup/setup.ts'
import type { Family, Said, Wishes } from './family.ts'

/** Bait’s depth over the width of a mouth, and its length over the fish’s, that a fish takes with ease. Ours. */
const BAIT_OVER_MOUTH = 0.8
const BAIT_OVER_FISH = 0.5

/** A family that takes a bait, and what was said of it. */
type Asked = { family: Family; said: Said; conditions: Conditions; catalogue: Catalogue; purpose: Purpose }

/** Bait, kind of hook and bite trace for the fish, where nobody said. */
export function forFish({ family, said, conditions, catalogue, purpose }: Asked): Partial<Wishes> {
  const { atHookN } = leaderFor(purpose, { usualN: 0, usualM: 0 })
  const bite = said.bite ?? biteTracesFor(purpose, atHookN).find(({ barred }) => !barred)?.kind ?? 'none'
  const bait = said.bait ?? (family.bait && baitFor(catalogue, family.bait, conditions))
  if (bait === undefined) return { bite }
  const pattern = hookKindsFor(purpose, mayLive(catalogue, family, bait))[0]?.pattern ?? 'circle'
  return { bite, bait, hookPattern: bite === 'longShank' && !isCircle(pattern) ? 'longShank' : pattern }
}

/** Whether a bait may be fished alive in a family: one that swims or hangs. */
export const mayLive = ({ baits, baitForms }: Catalogue, { id }: Family, bait: BaitType): boolean =>
  baitForms[baits[bait].form].live && ['swims', 'hangs'].includes(familyFishes(id))

/** The family’s bait, or where that is too much for the fish the largest that it takes. */
export function baitFor({ baits }: Catalogue, usual: BaitType, { target, mouthWidthM }: Conditions): BaitType {
  const fits = (id: BaitType) =>
    baits[id].depthM <= BAIT_OVER_MOUTH * (mouthWidthM ?? Number.POSITIVE_INFINITY) &&
    baits[id].lengthM <= BAIT_OVER_FISH * (target?.typicalLengthM ?? Number.POSITIVE_INFINITY)
  if (fits(usual)) return usual
  const [largest] = (Object.keys(baits) as BaitType[]).filter(fits).toSorted((a, b) => baits[b].massKg - baits[a].massKg)
  return largest ?? usual
}

/** The hook that suits the bait on it best: of the pattern it has, or of its heavy form where the wire would open. */
export function suggestedHook(setup: Setup): { pattern: HookPattern; size: string } | undefined {
  const [baited] = baitedHooks(prepareSetup(setup))
  if (!baited) return undefined
  const best = (pattern: HookPattern): SuggestedHook | undefined =>
    hookSuggest(setup.catalogue, { pattern, ...baited.wanted }).sizes[0]
  const { pattern } = baited.hook
  const first = best(pattern)
  const heavy = pattern === 'circle' ? best('heavyCircle') : undefined
  if (heavy && first?.why.includes('opens') && !heavy.why.includes('opens')) return { pattern: 'heavyCircle', size: heavy.size }
  return first && { pattern, size: first.size }
}
