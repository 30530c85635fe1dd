import type { Catalogue } from './catalogue.ts'
import type { Bed, HoldKind, SinkerShape } from './ids.ts'

export function holdKindOf(shape: SinkerShape): HoldKind {
  if (shape === 'gripWire') return 'wired'
  return shape === 'flat' || shape === 'pyramid' ? 'flat' : 'plain'
}

/** @returns grip, a ratio. Nominal; a wired sinker's is not truly proportional to its weight. */
export function gripOf(catalogue: Catalogue, shape: SinkerShape, bed: Bed): number {
  return gripPrior(catalogue, holdKindOf(shape), bed).median
}

/** What is thought of a grip before anything was held or dragged: its median, and the spread of its logarithm. */
export function gripPrior({ grip }: Catalogue, kind: HoldKind, bed: Bed): { median: number; spread: number } {
  return { median: grip.medians[kind][bed], spread: grip.spreads[kind] }
}
