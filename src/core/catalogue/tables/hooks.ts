/** Gape and wire (mm) of a J hook by size step (1/0 is step 1, size 1 is 0, size 2 is −1). Nominal; a ruler corrects them. */
export const HOOK_STEPS = [
  { step: -9, gapeMm: 5, wireMm: 0.6 },
  { step: -7, gapeMm: 6, wireMm: 0.7 },
  { step: -5, gapeMm: 7.2, wireMm: 0.8 },
  { step: -3, gapeMm: 8.6, wireMm: 0.92 },
  { step: -1, gapeMm: 10.2, wireMm: 1.05 },
  { step: 0, gapeMm: 11.5, wireMm: 1.15 },
  { step: 1, gapeMm: 13, wireMm: 1.25 },
  { step: 2, gapeMm: 14.5, wireMm: 1.35 },
  { step: 3, gapeMm: 16, wireMm: 1.5 },
  { step: 4, gapeMm: 18, wireMm: 1.65 },
  { step: 5, gapeMm: 20, wireMm: 1.8 },
  { step: 6, gapeMm: 22, wireMm: 1.95 },
  { step: 8, gapeMm: 27, wireMm: 2.3 },
  { step: 10, gapeMm: 33, wireMm: 2.7 },
  { step: 12, gapeMm: 38, wireMm: 3.2 },
  { step: 16, gapeMm: 46, wireMm: 4 },
] as const

/** Patterns: gape and wire relative to a J hook of the same number, because makers' numbers differ by pattern. Nominal. */
export const HOOK_PATTERNS = {
  j: { name: 'J', gape: 1, wire: 1 },
  lightJ: { name: 'light J', gape: 1, wire: 0.85 },
  circle: { name: 'circle', gape: 0.8, wire: 1.05 },
  treble: { name: 'treble', gape: 0.75, wire: 0.9 },
  longShank: { name: 'long shank', gape: 0.9, wire: 1 },
} as const

/** Sizes offered, smallest first. */
export const HOOK_SIZES = [
  '10',
  '8',
  '6',
  '4',
  '2',
  '1',
  '1/0',
  '2/0',
  '3/0',
  '4/0',
  '5/0',
  '6/0',
  '8/0',
  '10/0',
  '12/0',
  '16/0',
] as const
