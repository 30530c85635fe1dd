import { familyFishingMode } from '../catalogue/familyIds.ts'
import type { Method } from '../catalogue/ids.ts'
import { isCastMethod } from '../catalogue/methods.ts'
import type { Target } from '../documents/fish.ts'
import type { Water } from '../documents/water.ts'
import type { Family } from './family.ts'

/** How well a family suits a fish and a place: best first, and why in a sentence. */
export const SUITS = ['well', 'can', 'not'] as const
export type Suit = { suits: (typeof SUITS)[number]; why: string }

/** What it is asked about: the fish and the place, as far as either is known. */
export type SuitedTo = { target?: Target | undefined; water?: Pick<Water, 'method' | 'bed' | 'depthM'> | undefined }

/** Over this fish’s mass over the family’s usual one, a family is light for it; under it, heavy. Ours. */
const FAR_HEAVIER = 4
const FAR_LIGHTER = 1 / 8
/** Water that deep gear is for, m. Ours. */
const DEEP_M = 100
/** Families for a bait in the air, behind a moving boat, and in deep water. */
const TROLLED = 'tandemTroll'
const KITED = 'kiteBait'
const DEEP = 'deepDrop'
const BAIT_CATCHER = 'hookString'

/** Reads from what rules a family out to what recommends it: the first that applies says why. */
export function suitOf(family: Family, { target, water }: SuitedTo): Suit {
  const not = (why: string): Suit => ({ suits: 'not', why })
  const can = (why: string): Suit => ({ suits: 'can', why })
  const fromShore = water !== undefined && water.method === 'shore'
  const name = target?.name ?? 'the fish'
  if (water && isCastMethod(water.method) && family.casts.every((style) => style === 'none'))
    return not(`It is for lowering from a boat, not for casting ${fromShore ? 'from the shore' : 'up-tide'}.`)
  if (family.id === BAIT_CATCHER && target && target.typicalMassKg > 1) return not('It catches bait, not fish of this size.')
  if (family.id === DEEP && water && water.depthM < DEEP_M) return not('Its lights and release weight are for deep water.')
  if (family.id === TROLLED) return water ? not('It is towed behind a boat.') : can('It is towed behind a boat.')
  if (family.id === KITED && target && target.feeds !== 'surface')
    return not(`It fishes at the surface, and ${name} does not feed there.`)
  const height = heightOf(family)
  const onBed = target?.feeds === 'bed' || target?.feeds === 'rough'
  if (target && height === 'bed' && ['midwater', 'surface'].includes(target.feeds))
    return not(`It is on the bottom, but ${name} feeds above it.`)
  if (height === 'hung' && onBed) return not(`It is above the bottom, but ${name} feeds on it.`)
  if (target && target.typicalMassKg > FAR_HEAVIER * family.fishKg) return can(`Usually tied for smaller fish than ${name}.`)
  if (target && target.typicalMassKg < FAR_LIGHTER * family.fishKg) return can(`Heavier than ${name} needs.`)
  if (isRough(target, water) && height === 'bed') {
    if (family.weakLink) return { suits: 'well', why: 'On rough ground its weak link costs the sinker, not the fish.' }
    if (family.id === 'pulley') return { suits: 'well', why: 'A fish lifts the sinker off rough ground.' }
    return can('On rough ground a snag costs the whole trace: it has no weak link.')
  }
  if (family.id === 'biteTrace' && target && target.teeth !== 'cutting')
    return can('Its wire is for cutting teeth and costs bites.')
  if (height === 'free' && water && onBed) return can('It stays down only near slack water.')
  if (height === 'worked' && onBed) return can(`It must be worked close to the bottom, where ${name} feeds.`)
  return { suits: 'well', why: recommended(family, target, water?.method) }
}

/** Where a family fishes: on the bed, hung in mid-water, worked by the rod, or wherever it is let. */
function heightOf({ id }: Family): 'bed' | 'hung' | 'worked' | 'free' {
  const fishes = familyFishingMode(id)
  if (fishes === 'holds' || fishes === 'drags') return 'bed'
  if (fishes === 'hangs') return 'hung'
  return fishes === 'worked' ? 'worked' : 'free'
}

const isRough = (target: Target | undefined, water: SuitedTo['water']) => water?.bed === 'rock' || target?.feeds === 'rough'

function recommended(family: Family, target: Target | undefined, method: Method | undefined): string {
  const height = heightOf(family)
  const name = target?.name
  if (name === undefined) return method === undefined ? family.about : 'It suits this place.'
  if (target?.teeth === 'cutting' && family.id === 'biteTrace')
    return `${capital(name)} bites through line, but not through this wire.`
  if (height === 'bed') return `It is on the bottom, where ${name} feeds.`
  if (height === 'hung') return `It is in mid-water, where ${name} feeds.`
  return height === 'worked' ? `It is worked in mid-water, where ${name} feeds.` : `The bait swims freely, as ${name} expects.`
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

/** Families by how well they suit, in their own order among equals. */
export function suited(families: readonly Family[], to: SuitedTo): { family: Family; suit: Suit }[] {
  return families
    .map((family) => ({ family, suit: suitOf(family, to) }))
    .toSorted((a, b) => SUITS.indexOf(a.suit.suits) - SUITS.indexOf(b.suit.suits))
}
