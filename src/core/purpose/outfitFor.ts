import type { Catalogue } from '../catalogue/catalogue.ts'
import { isCastMethod } from '../catalogue/methods.ts'
import type { Target } from '../documents/fish.ts'
import type { Outfit } from '../documents/outfit.ts'
import type { Water } from '../documents/water.ts'
import { GRAVITY_M_PER_S2 } from '../math/constants.ts'
import { mainLine } from '../outfits/outfitLines.ts'
import { type SpoolFacts, spoolFacts } from '../outfits/spoolFacts.ts'
import { depth, figure, length, mass, type Phrase, say, strength } from '../units/phrase.ts'
import { LB } from '../units/quantities.ts'

export const ANGLERS = ['usual', 'guest', 'tires'] as const
/** Who fishes it: someone used to it, guests beside each other, or someone small, older or tired. */
export type Angler = (typeof ANGLERS)[number]

/** What an outfit is wanted for, as far as it is known. */
export type OutfitUse = {
  target?: Target | undefined
  water?: Pick<Water, 'method' | 'bed' | 'depthM' | 'distanceM'> | undefined
  /** What is cast, kg. */
  castKg?: number | undefined
  angler?: Angler | undefined
}

/** Best first: nothing against it, something against it, or it cannot do it. */
export const OUTFIT_SUITS = ['well', 'marginal', 'not'] as const
export type OutfitReason = { weighs: 'for' | 'against' | 'not'; why: Phrase }
export type OutfitAdvice = { suits: (typeof OUTFIT_SUITS)[number]; reasons: OutfitReason[] }

/** Weight of a fish over the label of the main line: beyond the first it takes care, beyond the second a heavier outfit. Ours. */
const WEIGHT_OVER_LABEL = { well: 1.5, marginal: 4 }
/** Line that a running fish takes, m per √kg. Nominal, ours. */
const RUN_M_PER_ROOT_KG = 25
/** What should be left after a run: a share of the spool, and m. Ours. */
const SPARE_SHARE = 0.25
const SPARE_M = 50
/** Below this a spool casts short and its drag grows soon. Ours. */
const FULL_SHARE = 0.85
/** Rods longer than the first are in the way on a boat; shorter than the second they do not reach over the waves. Ours. */
const ROD_M = { boat: 3, shore: 2.7 }
/** From this depth on the current on thick line counts, m; and so many times the depth of line is needed on the spool. Ours. */
const DEEP_M = 60
const LINE_OVER_DEPTH = 2
/** Lightest main line on rough ground, N, and lightest mono that casts a heavy sinker from rocks. The craft's usual labels. */
const ROUGH_N = 30 * LB
const ROCK_MONO_N = 20 * LB
const HEAVY_SINKER_KG = 0.1
/** Line in the upper part of a rod's printed range makes it stiff. Ours. */
const STIFF_FROM = 0.9

/**
 * What an outfit is good for, and why. Source: the craft's usual choice of outfit (fish, ground, depth, casting weight, who fishes);
 * the limits are ours and nominal.
 */
export function outfitFor(catalogue: Catalogue, outfit: Outfit, use: OutfitUse): OutfitAdvice {
  const spool = spoolFacts(catalogue, outfit, 0)
  const reasons = [
    ...fishReasons(spool, outfit, use),
    ...groundReasons(outfit, use),
    ...depthReasons(spool, outfit, use),
    ...castReasons(outfit, use),
    ...anglerReasons(outfit, use),
    ...rodReasons(outfit, use),
    ...spoolReasons(spool, use),
  ]
  const has = (weighs: OutfitReason['weighs']) => reasons.some((reason) => reason.weighs === weighs)
  return { suits: has('not') ? 'not' : has('against') ? 'marginal' : 'well', reasons }
}

/** Outfits with their advice: those that suit first, of equal ones the lighter, which costs less effort. */
export function rankedOutfits<T extends { content: Outfit }>(
  catalogue: Catalogue,
  outfits: readonly T[],
  use: OutfitUse,
): { outfit: T; advice: OutfitAdvice }[] {
  const against = ({ reasons }: OutfitAdvice) => reasons.filter(({ weighs }) => weighs !== 'for').length
  return outfits
    .map((outfit) => ({ outfit, advice: outfitFor(catalogue, outfit.content, use) }))
    .toSorted(
      (a, b) =>
        OUTFIT_SUITS.indexOf(a.advice.suits) - OUTFIT_SUITS.indexOf(b.advice.suits) ||
        against(a.advice) - against(b.advice) ||
        mainLine(a.outfit.content).strengthN - mainLine(b.outfit.content).strengthN,
    )
}

/** Undefined where what is wound leaves no room for the line that fills the rest. */
type Spool = SpoolFacts | undefined

const reason = (weighs: OutfitReason['weighs'], why: Phrase): OutfitReason => ({ weighs, why })

function fishReasons(spool: Spool, outfit: Outfit, { target, water }: OutfitUse): OutfitReason[] {
  if (!target) return []
  const { strengthN } = mainLine(outfit)
  const over = (target.typicalMassKg * GRAVITY_M_PER_S2) / strengthN
  const weight = { quantity: 'fish', si: target.typicalMassKg } as const
  const strong =
    over <= WEIGHT_OVER_LABEL.well
      ? reason('for', say`Its ${strength(strengthN)} main line is enough for ${target.name} of ${weight}.`)
      : over <= WEIGHT_OVER_LABEL.marginal
        ? reason(
            'against',
            say`${target.name} of ${weight} weighs ${figure(over, 1)} times its line class: a long fight on a careful drag.`,
          )
        : reason(
            'not',
            say`${target.name} of ${weight} weighs ${figure(over, 1)} times its line class. Take the next line class and reel size up, not a fuller drag.`,
          )
  return spool && target.fights.includes('runs') ? [strong, runReason(spool, target, water)] : [strong]
}

/** What a run leaves on the spool, beyond what is out to the bait. */
function runReason({ woundM }: SpoolFacts, target: Target, water: OutfitUse['water']): OutfitReason {
  const runM = RUN_M_PER_ROOT_KG * Math.sqrt(target.typicalMassKg)
  const outM = water?.distanceM ?? water?.depthM ?? 0
  const spareM = woundM - outM - runM
  if (spareM <= 0)
    return reason('not', say`Its spool holds ${length(woundM)}, and a run takes ${length(runM)}. Take a larger reel.`)
  return spareM < Math.max(SPARE_M, SPARE_SHARE * woundM)
    ? reason('against', say`A run of ${length(runM)} leaves ${length(spareM)} on the spool. A larger reel is safer.`)
    : reason('for', say`A run of ${length(runM)} leaves ${length(spareM)} on the spool.`)
}

function groundReasons(outfit: Outfit, { target, water }: OutfitUse): OutfitReason[] {
  const { strengthN, material } = mainLine(outfit)
  if (water?.bed !== 'rock' && target?.feeds !== 'rough') return []
  if (strengthN < ROUGH_N)
    return [reason('against', say`On rough ground the first metres decide: ${strength(ROUGH_N)} or more holds a fish off it.`)]
  return material === 'braid' ? [reason('for', say`Heavy braid holds a fish off rough ground.`)] : []
}

function depthReasons(spool: Spool, outfit: Outfit, { water }: OutfitUse): OutfitReason[] {
  if (!water || water.depthM < DEEP_M) return []
  if (spool && spool.woundM < LINE_OVER_DEPTH * water.depthM)
    return [reason('not', say`Its spool holds ${length(spool.woundM)}; ${depth(water.depthM)} of water needs twice the depth.`)]
  return mainLine(outfit).material === 'braid'
    ? [reason('for', say`Thin braid cuts the current in deep water.`)]
    : [reason('against', say`Thick line bellies in deep water. Thin braid needs less sinker.`)]
}

function castReasons({ rod, ...outfit }: Outfit, { water, castKg }: OutfitUse): OutfitReason[] {
  if (!water || !isCastMethod(water.method)) return []
  const { strengthN, material } = mainLine({ rod, ...outfit })
  const fromRock = water.bed === 'rock' && material === 'mono' && strengthN < ROCK_MONO_N
  const snaps =
    fromRock && (castKg ?? HEAVY_SINKER_KG) >= HEAVY_SINKER_KG
      ? [reason('against', say`A cast that goes wrong snaps light mono: use ${strength(ROCK_MONO_N)} and a leader for the cast.`)]
      : []
  if (castKg === undefined || rod.castHighKg === undefined) return snaps
  if (castKg > rod.castHighKg)
    return [...snaps, reason('not', say`The rod casts up to ${mass(rod.castHighKg)}, and ${mass(castKg)} is cast.`)]
  if (rod.castLowKg !== undefined && castKg < rod.castLowKg)
    return [...snaps, reason('against', say`The rod casts from ${mass(rod.castLowKg)} on; ${mass(castKg)} does not load it.`)]
  return [...snaps, reason('for', say`The rod is made to cast ${mass(castKg)}.`)]
}

function anglerReasons(outfit: Outfit, { angler }: OutfitUse): OutfitReason[] {
  const free = outfit.wound.at(-1)
  if (angler === 'guest')
    return free?.material === 'braid'
      ? [reason('against', say`Guests tangle, and braid cannot be untangled. Add a mono top shot of a boat's length.`)]
      : [reason('for', say`A tangle in mono can be undone.`)]
  const { strengthN } = mainLine(outfit)
  if (angler === 'tires' && strengthN > TIRING_N)
    return [reason('against', say`A heavy outfit tires. Take a lighter one of the same strength, the rail and low gear.`)]
  return []
}

/** From this line class on an outfit is heavy to hold, N. Ours. */
const TIRING_N = 50 * LB

function spoolReasons(spool: Spool, { target, water }: OutfitUse): OutfitReason[] {
  if (!target && !water) return []
  if (!spool || spool.fillShare > 1)
    return [reason(spool ? 'against' : 'not', say`More is wound on than its spool holds. Wind on less.`)]
  if (spool.fillShare >= FULL_SHARE) return []
  return [reason('against', say`Its spool is ${figure(100 * spool.fillShare, 0)} % full. Wind more line on.`)]
}

function rodReasons(outfit: Outfit, { water }: OutfitUse): OutfitReason[] {
  const { lengthM } = outfit.rod
  if (water && water.method !== 'shore' && lengthM > ROD_M.boat)
    return [reason('against', say`A rod of ${length(lengthM)} is in the way on a boat.`), ...lineReasons(outfit)]
  if (water?.method === 'shore' && lengthM < ROD_M.shore)
    return [reason('against', say`A rod of ${length(lengthM)} does not reach over the waves.`), ...lineReasons(outfit)]
  return lineReasons(outfit)
}

/** Where the main line is in the rod's printed range. */
function lineReasons(outfit: Outfit): OutfitReason[] {
  const { ratingLowN, ratingHighN } = outfit.rod
  const { strengthN } = mainLine(outfit)
  const range = say`${strength(ratingLowN)} to ${strength(ratingHighN)}`
  if (strengthN < ratingLowN || strengthN > ratingHighN)
    return [reason('against', [...say`Its ${strength(strengthN)} line is outside the rod's range of `, ...range, '.'])]
  const place = (strengthN - ratingLowN) / Math.max(1e-9, ratingHighN - ratingLowN)
  return ratingHighN > ratingLowN && place > STIFF_FROM
    ? [reason('against', say`Its line is at the top of the rod's range, where the rod is stiff.`)]
    : []
}
