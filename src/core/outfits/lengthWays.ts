import type { Catalogue } from '../catalogue/catalogue.ts'
import type { Outfit } from '../documents/outfit.ts'
import { linePerTurnM, linesOut, spoolOf, woundM } from './outfitLines.ts'

const FATHOM_M = 1.8288
/** An arm’s length of line, where nobody measured it. Nominal. */
export const NOMINAL_ARM_M = 0.7
/** Places that the turns of a handle are added up over. */
const STEPS = 8

/** What a person measures by, of their own, m. */
export type OwnMeasures = { armM: number; boatM: number }

export const LENGTH_WAYS = ['fathoms', 'colours', 'turns', 'rods', 'boats', 'arms'] as const
export type LengthWay = (typeof LENGTH_WAYS)[number]

/** A length of line as so many of whatever people count in; ways that the outfit or the person does not have are left out. */
export function lengthWays(
  catalogue: Catalogue,
  outfit: Outfit,
  lengthM: number,
  own: Partial<OwnMeasures>,
): { way: LengthWay; count: number }[] {
  const counts: Record<LengthWay, number | undefined> = {
    fathoms: lengthM / FATHOM_M,
    colours: coloursIn(catalogue, outfit, lengthM),
    turns: turnsIn(catalogue, outfit, lengthM),
    rods: lengthM / outfit.rod.lengthM,
    boats: own.boatM === undefined ? undefined : lengthM / own.boatM,
    arms: lengthM / (own.armM ?? NOMINAL_ARM_M),
  }
  return LENGTH_WAYS.flatMap((way) => {
    const count = counts[way]
    return count === undefined ? [] : [{ way, count }]
  })
}

/** Colours of the line that are out; undefined where the line that changes colour is not, or none does. */
export function coloursIn(catalogue: Catalogue, outfit: Outfit, lengthM: number): number | undefined {
  const within = Math.min(lengthM, woundM(catalogue, outfit) * (1 - 1e-9))
  const coloured = linesOut(outfit, spoolOf(catalogue, outfit, within), within).findLast(
    ({ line }) => line.colourEveryM !== undefined,
  )
  return coloured?.line.colourEveryM === undefined ? undefined : coloured.outM / coloured.line.colourEveryM
}

/** Turns of the handle that bring so much line in; undefined where more is out than is wound. */
export function turnsIn(catalogue: Catalogue, outfit: Outfit, lengthM: number): number | undefined {
  if (lengthM > woundM(catalogue, outfit) * (1 - 1e-9)) return undefined
  const stepM = lengthM / STEPS
  return Array.from({ length: STEPS }, (_, i) => stepM / linePerTurnM(catalogue, outfit, (i + 0.5) * stepM)).reduce(
    (sum, n) => sum + n,
    0,
  )
}

/** The last mark of the line that is out, and how much is out beyond it, m; undefined before the first. */
export function lastMark({ wound }: Outfit, lengthM: number): { atM: number; beyondM: number } | undefined {
  let overM = 0
  const marks: number[] = []
  for (const { marksM = [], lengthM: lineM } of wound.toReversed()) {
    marks.push(...marksM.map((atM) => overM + atM))
    if (lineM === undefined) break
    overM += lineM
  }
  const atM = marks.filter((mark) => mark <= lengthM).toSorted((a, b) => b - a)[0]
  return atM === undefined ? undefined : { atM, beyondM: lengthM - atM }
}
