import type { Catalogue } from './catalogue.ts'
import type { HardwareType } from './ids.ts'

/** Strength of a size of hardware, N; undefined where the type has no such size or carries no pull. */
export function hardwareStrengthN(catalogue: Catalogue, type: HardwareType, size: string): number | undefined {
  return catalogue.hardware[type].sizes.find((row) => row.size === size)?.strengthN
}

/** Hardware's strength over the line beside it: enough that the knots go first, and no bigger. */
const OVER_LINE = 1.3

/** The size that suits a line: stronger by a little and no bigger; undefined for a type without sizes. */
export function hardwareFor(catalogue: Catalogue, type: HardwareType, lineN: number): string | undefined {
  const { sizes } = catalogue.hardware[type]
  return (sizes.find(({ strengthN }) => strengthN >= OVER_LINE * lineN) ?? sizes.at(-1))?.size
}
