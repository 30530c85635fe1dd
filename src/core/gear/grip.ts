import type { SinkerShape } from './sinkers.ts'

/** Beds that a sinker lies on. */
export const BEDS = {
  sand: { name: 'sand' },
  shingle: { name: 'shingle' },
  mud: { name: 'mud' },
  rock: { name: 'rock or kelp' },
} as const
export type Bed = keyof typeof BEDS

type Hold = 'plain' | 'flat' | 'wired'

/** Hold on the bed over weight in water, by how the sinker holds. Nominal; the angler's own holds and drags correct it. */
const GRIP: Record<Hold, Record<Bed, number>> = {
  plain: { sand: 0.5, shingle: 0.7, mud: 0.7, rock: 1 },
  flat: { sand: 1.05, shingle: 0.9, mud: 1, rock: 1 },
  wired: { sand: 3, shingle: 2, mud: 2, rock: 2 },
}

/** @returns grip, a ratio. Nominal; a wired sinker's is not truly proportional to its weight. */
export function gripOf(shape: SinkerShape, bed: Bed): number {
  const hold: Hold = shape === 'gripWire' ? 'wired' : shape === 'flat' || shape === 'pyramid' ? 'flat' : 'plain'
  return GRIP[hold][bed]
}
