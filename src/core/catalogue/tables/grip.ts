/** Beds that a sinker lies on. */
export const BEDS = {
  sand: { name: 'sand' },
  shingle: { name: 'shingle' },
  mud: { name: 'mud' },
  rock: { name: 'rock or kelp' },
} as const

/** How a sinker holds: lying there, lying flat or digging in, or by wires. */
export const HOLD_KINDS = { plain: 'plain sinker', flat: 'flat or pyramid', wired: 'wired grip' } as const

/** Hold on the bed over weight in water, by how the sinker holds. Nominal; the angler's own holds and drags correct it. */
export const GRIP = {
  plain: { sand: 0.5, shingle: 0.7, mud: 0.7, rock: 1 },
  flat: { sand: 1.05, shingle: 0.9, mud: 1, rock: 1 },
  wired: { sand: 3, shingle: 2, mud: 2, rock: 2 },
} as const

/** Spread of the grip from mark to mark, as the standard deviation of its logarithm. Nominal, ours; wires are the least sure. */
export const GRIP_SPREAD = { plain: 0.3, flat: 0.3, wired: 0.5 } as const

/** What the wires of a wired lead bear along the bed, N, whatever it weighs; its body grips like plain lead. Nominal. */
export const BREAK_OUT_N = { sand: 15, shingle: 8, mud: 18, rock: 0 } as const
