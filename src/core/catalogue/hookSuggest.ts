import { type HookFit, type HookFitInput, hookFit } from '../physics/hooking/hookFit.ts'
import type { Catalogue } from './catalogue.ts'
import { type HookDimensions, hookDimensions, straighteningLoadN } from './hooks.ts'
import type { BaitForm, HookPattern } from './ids.ts'

/** How a bait is put on: one hook through it, two in tandem, or a chain of them. */
export type BaitRig = 'single' | 'tandem' | 'chain'

/** What a hook has to suit. `riggedShare`: how much of the bait’s depth lies in the gap by the way it is put on, where that is said. */
export type HookWanted = {
  pattern: HookPattern
  form: BaitForm
  baitLengthM: number
  baitDepthM: number
  baitMassKg: number
  alive: boolean
  rig: BaitRig
  riggedShare?: number | undefined
  mouthWidthM?: number | undefined
  loadN?: number | undefined
  /** Under this gape a hook is lost in the mouth and taken deep, m. */
  leastGapeM?: number | undefined
}

export type SuggestedHook = {
  size: string
  gapeM: number
  /** Gape over the usual one for this bait. */
  fit: number
  freeGape: number
  massShare: number
  widthShare?: number
  straightenMargin?: number
  why: string
}

/** Of a usual gape, what of the bait lies in it. Nominal. */
const BURIED_OF_USUAL = 0.35
/** Gapes over the usual one that are sound. */
export const SOUND_FIT = { least: 0.7, most: 1.6 }

/** Thresholds of a fit: the gap that is to stay free, the hook over a live bait’s mass, over the mouth, the load that it bears. */
export const FREE_GAPE = { holds: 0.5, watch: 0.35 }
export const LIVE_MASS_SHARE = { holds: 0.03, watch: 0.05 }
export const MOUTH_SHARE = { holds: 0.6, watch: 0.8 }
export const STRAIGHTEN_MARGIN = { holds: 1.3, watch: 1 }
/** Gape over the width of the mouth under which a dead bait’s hook is lost in it. Nominal, ours. */
export const MIN_GAPE_OF_MOUTH = 0.22
const MOST = 5
/** A mouth that nothing is wide for, m. */
const UNKNOWN_MOUTH_M = 10

type Bait = Omit<HookWanted, 'pattern'>

/** The craft’s usual gape for a bait, by its form and by how the pattern’s gape is measured, m. */
export function usualGapeM(
  { hooks, baitForms }: Catalogue,
  pattern: HookPattern,
  { form, baitDepthM, baitLengthM }: Pick<Bait, 'form' | 'baitDepthM' | 'baitLengthM'>,
): number {
  const { ofDepth, ofLength } = baitForms[form].gape
  const by = hooks.patterns[pattern].numbers === 'circle' ? 'circle' : 'other'
  return Math.max(ofDepth[by] * baitDepthM, (ofLength?.[by] ?? 0) * baitLengthM)
}

/** Bait that lies in the gap, m. */
export const buriedM = (catalogue: Catalogue, pattern: HookPattern, bait: Bait): number =>
  Math.min(
    BURIED_OF_USUAL * usualGapeM(catalogue, pattern, bait),
    bait.baitDepthM * (bait.riggedShare ?? Number.POSITIVE_INFINITY),
  )

/** A fit, of a hook with its dimensions; what is not known of mouth and load is left out. */
export type FitOf = Pick<HookFit, 'freeGape' | 'massShare'> & Partial<Pick<HookFit, 'widthShare' | 'straightenMargin'>>

/** What `hook.fit` is asked of a hook; of a mouth or load that is not known, anything that says nothing. */
export const fitInput = (catalogue: Catalogue, pattern: HookPattern, hook: HookDimensions, wanted: Bait): HookFitInput => ({
  gapeM: hook.gapeM,
  buriedM: buriedM(catalogue, pattern, wanted),
  hookMassKg: hook.massKg,
  baitMassKg: wanted.baitMassKg,
  hookWidthM: hook.widthM,
  mouthWidthM: wanted.mouthWidthM ?? UNKNOWN_MOUTH_M,
  loadN: wanted.loadN ?? 1,
  straightensAtN: straighteningLoadN(hook.wireM, hook.gapeM),
})

export function fitOf(catalogue: Catalogue, pattern: HookPattern, hook: HookDimensions, wanted: Bait): FitOf {
  const { freeGape, massShare, widthShare, straightenMargin } = hookFit(fitInput(catalogue, pattern, hook, wanted))
  return {
    freeGape,
    massShare,
    ...(wanted.mouthWidthM === undefined ? {} : { widthShare }),
    ...(wanted.loadN === undefined ? {} : { straightenMargin }),
  }
}

type Short = { short: number; why: string }

/** How far a hook is from sound, by what it falls short in, each over its threshold; 0 where it is sound. */
function shortOf(of: FitOf, fit: number, gapeM: number, { alive, leastGapeM = 0 }: HookWanted): Short {
  const shorts: Short[] = [
    { short: SOUND_FIT.least / fit - 1, why: 'the bait fills its gap' },
    { short: fit / SOUND_FIT.most - 1, why: 'it is large for the bait' },
    { short: alive ? of.massShare / LIVE_MASS_SHARE.holds - 1 : 0, why: 'it tires a live bait' },
    { short: leastGapeM / gapeM - 1, why: 'it is small for the mouth, so fish swallow it deep' },
    { short: (of.widthShare ?? 0) / MOUTH_SHARE.holds - 1, why: 'it is wide for the mouth' },
    { short: STRAIGHTEN_MARGIN.holds / (of.straightenMargin ?? Number.POSITIVE_INFINITY) - 1, why: 'it opens under this load' },
  ]
  const worst = shorts.reduce((a, b) => (b.short > a.short ? b : a))
  return worst.short > 1e-9 ? worst : { short: 0, why: '' }
}

/**
 * Sizes of a pattern for a bait, best first, at most five: of the sound ones, those nearest the craft’s usual gape; then those that fall
 * short the least, with what they fall short in.
 * Source: usual gapes of the craft, on `hook.fit`.
 */
export function hookSuggest(catalogue: Catalogue, wanted: HookWanted): { sizes: SuggestedHook[] } {
  const usualM = usualGapeM(catalogue, wanted.pattern, wanted)
  const rows = catalogue.hooks.sizes.flatMap((size) => {
    const hook = hookDimensions(catalogue, wanted.pattern, size)
    if (!hook) return []
    const fit = hook.gapeM / usualM
    const of = fitOf(catalogue, wanted.pattern, hook, wanted)
    return [{ size, gapeM: hook.gapeM, fit, of, off: Math.abs(Math.log(fit)), ...shortOf(of, fit, hook.gapeM, wanted) }]
  })
  const best = rows.toSorted((a, b) => a.short - b.short || a.off - b.off).slice(0, MOST)
  return {
    sizes: best.map(({ size, gapeM, fit, of, why }, i) => ({
      ...{ size, gapeM, fit },
      ...of,
      why: why || (i === 0 ? 'nearest the usual gap' : fit < 1 ? 'smaller than usual' : 'larger than usual'),
    })),
  }
}
