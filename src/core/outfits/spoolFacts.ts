import type { Catalogue } from '../catalogue/catalogue.ts'
import { type LineSpec, lineDiameterM } from '../catalogue/materials.ts'
import { spoolRadii } from '../catalogue/reels.ts'
import type { Outfit } from '../documents/outfit.ts'
import { CoreError } from '../errors.ts'
import { spoolOf, woundOnM } from './outfitLines.ts'

/** A layer of the spool’s section, from radius to radius, m. */
export type SpoolBand = { index: number; fromM: number; toM: number; lengthM: number }
export type SpoolFacts = {
  bands: SpoolBand[]
  arborM: number
  fullM: number
  fillShare: number
  /** All that is wound, m. */
  woundM: number
  /** How much more of the last line fits, m; less than nothing where it overflows. */
  roomM: number
  /** Line in for one turn of the handle, full and with the run out, m; undefined without a gear ratio. */
  perTurnM?: { full: number; out: number }
  /** After the run: left on the spool, m, and how many times the drag has grown. */
  leftM: number
  dragGrowth: number
}

/**
 * What a spool holds, as its section shows it, and after a run of so many metres.
 * @returns undefined where what is wound leaves no room for the line that fills the rest.
 */
export function spoolFacts(catalogue: Catalogue, outfit: Outfit, runM: number): SpoolFacts | undefined {
  try {
    const whole = spoolOf(catalogue, outfit, 0)
    const woundM = woundOnM(whole)
    const after = spoolOf(catalogue, outfit, Math.min(runM, woundM))
    const { arborRadiusM: arborM, fullRadiusM: fullM } = spoolRadii(outfit.reel)
    const radiusAt = (share: number) => Math.sqrt(arborM ** 2 + share * (fullM ** 2 - arborM ** 2))
    let share = 0
    const bands = whole.layers.map((layer, index): SpoolBand => {
      const fromM = radiusAt(share)
      share += layer.share
      return { index, fromM, toM: radiusAt(share), lengthM: layer.lengthM }
    })
    const { gearRatio } = outfit.reel
    const perTurnM = (radiusM: number) => 2 * Math.PI * radiusM * (gearRatio ?? 0)
    return {
      bands,
      arborM,
      fullM,
      fillShare: whole.fillShare,
      woundM,
      roomM: lengthThatFits(catalogue, outfit, outfit.wound.at(-1)!, 1 - whole.fillShare),
      ...(gearRatio === undefined ? {} : { perTurnM: { full: perTurnM(whole.radiusFullM), out: perTurnM(after.radiusM) } }),
      leftM: woundM - Math.min(runM, woundM),
      dragGrowth: after.dragGrowth,
    }
  } catch (error) {
    if (error instanceof CoreError) return undefined
    throw error
  }
}

/** Length of a line that fills a share of the spool, m; what a printed capacity says of another line. */
export function lengthThatFits(catalogue: Catalogue, { reel }: Pick<Outfit, 'reel'>, line: LineSpec, share = 1): number {
  return (share * reel.capacityLengthM * reel.capacityDiameterM ** 2) / lineDiameterM(catalogue, line) ** 2
}
