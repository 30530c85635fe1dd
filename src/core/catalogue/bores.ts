import type { SinkerShape } from './ids.ts'

/** Body width of a swivel by size, m. Nominal. */
const WIDTH_MM: Readonly<Record<string, number>> = {
  '12': 2,
  '10': 2.5,
  '8': 3,
  '7': 3.5,
  '6': 4,
  '5': 4.5,
  '4': 5,
  '2': 6,
  '1': 7,
  '1/0': 8.5,
}

export function swivelWidthM(size: string): number | undefined {
  const mm = WIDTH_MM[size]
  return mm === undefined ? undefined : mm / 1000
}

/** Shapes with a bore through them; the rest run on a wire eye that passes nothing. */
const BORED: readonly SinkerShape[] = ['ball', 'bullet', 'barrel']

export const isBored = (shape: SinkerShape): boolean => BORED.includes(shape)

/**
 * Bore of a sinker that the line runs through: 1.2 mm and 0.8 mm for each cube root of its mass over 10 g.
 * @returns m; undefined for a shape that runs on an eye. Nominal; a ruler corrects it.
 */
export function boreM(shape: SinkerShape, massKg: number): number | undefined {
  return isBored(shape) ? (1.2 + 0.8 * Math.cbrt(massKg / 0.01)) / 1000 : undefined
}

/** Bore of a running float, m. Nominal. */
export const FLOAT_BORE_M = 0.002
