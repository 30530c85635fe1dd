import { type HookFit, type HookFitInput, hookFit } from '../physics/hooking/hookFit.ts'
import type { Catalogue } from './catalogue.ts'
import { type HookDimensions, hookDimensions, straighteningLoadN } from './hooks.ts'
import type { HookPattern } from './ids.ts'

/** How a bait is put on: one hook through it, two in tandem, or a chain of them. */
export type BaitRig = 'single' | 'tandem' | 'chain'

/** What a hook has to suit. `buriedShare`: how much of the bait’s depth lies in the gap; left out, by `alive`. */
export type HookWanted = {
  pattern: HookPattern
  baitLengthM: number
  baitDepthM: number
  baitMassKg: number
  alive: boolean
  rig: BaitRig
  buriedShare?: number | undefined
  mouthWidthM?: number | undefined
  loadN?: number | undefined
  /** Under this gape a hook is lost in the mouth and taken deep, m. */
  leastGapeM?: number | undefined
}

export type SuggestedHook = {
  size: string
  gapeM: number
  freeGape: number
  massShare: number
  widthShare?: number
  straightenMargin?: number
  why: string
}

/** Share of a bait’s depth that lies in the gap where its form is not said: a live one is hooked by its edge, another through. Nominal, ours. */
const BURIED_SHARE = { alive: 0.1, dead: 1 }
/** Of each hook of a tandem or chain less is covered: they hold the bait together. Nominal, ours. */
const SHARED = { single: 1, tandem: 0.8, chain: 0.7 }

/** Thresholds of a fit: the gap that is to stay free, the hook over a live bait’s mass, over the mouth, the load that it bears. */
export const FREE_GAPE = { holds: 0.5, watch: 0.35 }
export const LIVE_MASS_SHARE = { holds: 0.03, watch: 0.05 }
export const MOUTH_SHARE = { holds: 0.6, watch: 0.8 }
export const STRAIGHTEN_MARGIN = { holds: 1.3, watch: 1 }
/** Gape over the width of the mouth under which a dead bait’s hook is lost in it. Nominal, ours. */
export const MIN_GAPE_OF_MOUTH = 0.22
/** Past this gap left free the hook is larger than the bait asks for. Ours. */
const LARGE = 0.75
const MOST = 5
/** A mouth that nothing is wide for, m. */
const UNKNOWN_MOUTH_M = 10

/** Bait that lies in the gap, m. */
export const buriedM = ({ baitDepthM, alive, rig, buriedShare }: Omit<HookWanted, 'pattern'>): number =>
  baitDepthM * (buriedShare ?? (alive ? BURIED_SHARE.alive : BURIED_SHARE.dead)) * SHARED[rig]

/** A fit, of a hook with its dimensions; what is not known of mouth and load is left out. */
export type FitOf = Pick<HookFit, 'freeGape' | 'massShare'> & Partial<Pick<HookFit, 'widthShare' | 'straightenMargin'>>

/** What `hook.fit` is asked of a hook; of a mouth or load that is not known, anything that says nothing. */
export const fitInput = (hook: HookDimensions, wanted: Omit<HookWanted, 'pattern'>): HookFitInput => ({
  gapeM: hook.gapeM,
  buriedM: buriedM(wanted),
  hookMassKg: hook.massKg,
  baitMassKg: wanted.baitMassKg,
  hookWidthM: hook.widthM,
  mouthWidthM: wanted.mouthWidthM ?? UNKNOWN_MOUTH_M,
  loadN: wanted.loadN ?? 1,
  straightensAtN: straighteningLoadN(hook.wireM, hook.gapeM),
})

export function fitOf(hook: HookDimensions, wanted: Omit<HookWanted, 'pattern'>): FitOf {
  const { freeGape, massShare, widthShare, straightenMargin } = hookFit(fitInput(hook, wanted))
  return {
    freeGape,
    massShare,
    ...(wanted.mouthWidthM === undefined ? {} : { widthShare }),
    ...(wanted.loadN === undefined ? {} : { straightenMargin }),
  }
}

/** How far a hook is from sound, by what it falls short in, each over its threshold; 0 where it is sound. */
function shortOf(fit: FitOf, gapeM: number, { alive, leastGapeM = 0 }: HookWanted): { short: number; why: string } {
  const shorts = [
    { short: FREE_GAPE.holds - fit.freeGape, why: 'the bait fills its gap' },
    { short: alive ? fit.massShare / LIVE_MASS_SHARE.holds - 1 : 0, why: 'it tires a live bait' },
    { short: leastGapeM / gapeM - 1, why: 'it is small for the mouth, so fish swallow it deep' },
    { short: (fit.widthShare ?? 0) / MOUTH_SHARE.holds - 1, why: 'it is wide for the mouth' },
    { short: STRAIGHTEN_MARGIN.holds / (fit.straightenMargin ?? Number.POSITIVE_INFINITY) - 1, why: 'it opens under this load' },
  ]
  const worst = shorts.reduce((a, b) => (b.short > a.short ? b : a))
  return worst.short > 0 ? worst : { short: 0, why: '' }
}

/**
 * Sizes of a pattern for a bait, best first, at most five: the smallest sound one, then larger sound ones, which cost a live bait and
 * a mouth, then those that fall short the least, with what they fall short in.
 * Source: ours, on `hook.fit`.
 */
export function hookSuggest(catalogue: Catalogue, wanted: HookWanted): { sizes: SuggestedHook[] } {
  const rows = catalogue.hooks.sizes.flatMap((size, order) => {
    const hook = hookDimensions(catalogue, wanted.pattern, size)
    if (!hook) return []
    const fit = fitOf(hook, wanted)
    return [{ size, order, hook, fit, ...shortOf(fit, hook.gapeM, wanted) }]
  })
  const best = rows.toSorted((a, b) => a.short - b.short || a.order - b.order).slice(0, MOST)
  return {
    sizes: best.map(({ size, hook, fit, short, why }, i) => ({
      size,
      gapeM: hook.gapeM,
      ...fit,
      why: short > 0 ? why : i === 0 ? 'the smallest that fits' : fit.freeGape > LARGE ? 'fits, larger than needed' : 'sound',
    })),
  }
}
