import type { Catalogue } from '../catalogue/catalogue.ts'
import { FREE_GAPE, fitOf } from '../catalogue/hookSuggest.ts'
import { hookDimensions } from '../catalogue/hooks.ts'
import { hookGang } from '../physics/hooking/hookGang.ts'
import type { Baited } from './baiting.ts'

/** So many hooks of a size linked eye to bend in a bait: what they span, the gap each leaves free, and what they weigh. */
export type Gang = {
  count: number
  size: string
  spanM: number
  coverage: number
  freeGape: number
  massKg: number
  sound: boolean
}

const MAX_HOOKS = 5

/**
 * Few large hooks or more small ones for a bait: for one to five of the hook’s pattern the size whose span over the bait’s length is
 * nearest the middle of what holds it, of those with a gap half free where there are any.
 * @param coverage share of the bait that hooks are to span, least and most.
 * Source: geometry of linked hooks; the choice is ours.
 */
export function gangsFor(catalogue: Catalogue, baited: Baited, coverage: { least: number; most: number }): Gang[] {
  const { hook, body, wanted } = baited
  const middle = (coverage.least + coverage.most) / 2
  return Array.from({ length: MAX_HOOKS }, (_, i): Gang[] => {
    const count = i + 1
    const rig = count === 1 ? 'single' : count === 2 ? 'tandem' : 'chain'
    const all = catalogue.hooks.sizes.flatMap((size): Gang[] => {
      const hookOf = hookDimensions(catalogue, hook.pattern, size)
      if (!hookOf) return []
      const gang = hookGang({ baitLengthM: body.lengthM, hookPitchM: hookOf.pitchM, linkLengthM: 0, count })
      const { freeGape } = fitOf(catalogue, hook.pattern, hookOf, { ...wanted, rig })
      const covers = count === 1 || (gang.coverage >= coverage.least && gang.coverage <= coverage.most)
      return [{ count, size, ...gang, freeGape, massKg: count * hookOf.massKg, sound: covers && freeGape >= FREE_GAPE.holds }]
    })
    const gaping = all.filter(({ freeGape }) => freeGape >= FREE_GAPE.holds)
    const off = (each: Gang) => Math.abs(each.coverage - middle)
    // One hook alone spans what it spans: the smallest with its gap free.
    return count === 1 ? gaping.slice(0, 1) : (gaping.length > 0 ? gaping : all).toSorted((a, b) => off(a) - off(b)).slice(0, 1)
  }).flat()
}
