import type { Catalogue } from './catalogue.ts'
import type { HardwareType } from './ids.ts'
import { labelAtLeastN } from './labels.ts'

/** Strength of a size of hardware, N; undefined where the type has no such size or carries no pull. */
export function hardwareStrengthN(catalogue: Catalogue, type: HardwareType, size: string): number | undefined {
  return catalogue.hardware[type].sizes.find((row) => row.size === size)?.strengthN
}

/** Hardware's strength over the line beside it: enough that the knots go first, and no bigger. */
const OVER_LINE = 1.3

/** The size that suits a line: stronger by a little and no bigger; undefined for a type without sizes. */
export const hardwareFor = (catalogue: Catalogue, type: HardwareType, lineN: number): string | undefined =>
  sizeThatHolds(catalogue, type, OVER_LINE * lineN)

function sizeThatHolds(catalogue: Catalogue, type: HardwareType, neededN: number): string | undefined {
  const { sizes } = catalogue.hardware[type]
  return (sizes.find(({ strengthN }) => strengthN >= neededN) ?? sizes.at(-1))?.size
}

/** A piece of hardware by its size, or by its label where it is sold by that; nothing of a type without sizes. */
export type Fitted = { size?: string; strengthN?: number }

/** The piece of hardware that holds so much, N. */
export function thatHolds(catalogue: Catalogue, type: HardwareType, neededN: number): Fitted {
  if (catalogue.hardware[type].byLabel) return { strengthN: labelAtLeastN(neededN) }
  const size = sizeThatHolds(catalogue, type, neededN)
  return size === undefined ? {} : { size }
}

/** The piece of hardware that suits a line of a strength, N. */
export const fittedTo = (catalogue: Catalogue, type: HardwareType, lineN: number): Fitted =>
  thatHolds(catalogue, type, OVER_LINE * lineN)

/** How mass grows with strength from size to size: between an area and a volume. Nominal. */
const MASS_BY_STRENGTH = 1.25

/** Mass of a piece of hardware of a strength, kg: the type's, taken from its middle size; of one without sizes as it is. Nominal. */
export function hardwareMassKg(catalogue: Catalogue, type: HardwareType, strengthN: number | undefined): number {
  const { sizes, massKg } = catalogue.hardware[type]
  const middle = sizes[(sizes.length - 1) >> 1]
  return middle && strengthN !== undefined ? massKg * (strengthN / middle.strengthN) ** MASS_BY_STRENGTH : massKg
}

type Sized = { type: HardwareType; size?: string | undefined; strengthN?: number | undefined }

/** What a piece of hardware bears, N: its own figure, else that of its size; undefined where it carries no pull. */
export const strengthOfHardwareN = (catalogue: Catalogue, { type, size, strengthN }: Sized): number | undefined =>
  strengthN ?? (size === undefined ? undefined : hardwareStrengthN(catalogue, type, size))
