import type { SinkerShape } from './sinkers.ts'

/** Beds that a sinker lies on. */
export const BEDS = {
  sand: { name: 'sand' },
  shingle: { name: 'shingle' },
  mud: { name: 'mud' },
  rock: { name: 'rock or kelp' },
} as const
export type Bed = keyof typeof BEDS

/** How a sinker holds: lying there, lying flat or digging in, or by wires. */
export type HoldKind = 'plain' | 'flat' | 'wired'
export const HOLD_KINDS: Record<HoldKind, string> = { plain: 'plain lead', flat: 'flat or pyramid', wired: 'wired grip' }

/** Hold on the bed over weight in water, by how the sinker holds. Nominal; the angler's own holds and drags correct it. */
const GRIP: Record<HoldKind, Record<Bed, number>> = {
  plain: { sand: 0.5, shingle: 0.7, mud: 0.7, rock: 1 },
  flat: { sand: 1.05, shingle: 0.9, mud: 1, rock: 1 },
  wired: { sand: 3, shingle: 2, mud: 2, rock: 2 },
}

/** Spread of the grip from mark to mark, as the standard deviation of its logarithm. Nominal, ours; wires are the least sure. */
const SPREAD: Record<HoldKind, number> = { plain: 0.3, flat: 0.3, wired: 0.5 }

export function holdKindOf(shape: SinkerShape): HoldKind {
  if (shape === 'gripWire') return 'wired'
  return shape === 'flat' || shape === 'pyramid' ? 'flat' : 'plain'
}

/** @returns grip, a ratio. Nominal; a wired sinker's is not truly proportional to its weight. */
export function gripOf(shape: SinkerShape, bed: Bed): number {
  return gripPrior(holdKindOf(shape), bed).median
}

/** What is thought of a grip before anything was held or dragged: its median, and the spread of its logarithm. */
export function gripPrior(kind: HoldKind, bed: Bed): { median: number; spread: number } {
  return { median: GRIP[kind][bed], spread: SPREAD[kind] }
}
