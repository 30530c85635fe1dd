/** Gape (mm) by size step (1/0 is step 1, size 1 is 0, size 2 is −1), for the two ways that makers number. Nominal; a ruler corrects them. */
export const HOOK_GAPES = {
  j: [
    { step: -19, gapeMm: 2.4 },
    { step: -9, gapeMm: 5 },
    { step: -7, gapeMm: 6 },
    { step: -5, gapeMm: 7.2 },
    { step: -3, gapeMm: 8.7 },
    { step: -1, gapeMm: 10.4 },
    { step: 0, gapeMm: 12 },
    { step: 1, gapeMm: 13.5 },
    { step: 10, gapeMm: 31 },
    { step: 20, gapeMm: 51 },
  ],
  circle: [
    { step: -9, gapeMm: 3.4 },
    { step: 0, gapeMm: 8 },
    { step: 1, gapeMm: 9 },
    { step: 4, gapeMm: 13 },
    { step: 8, gapeMm: 19 },
    { step: 12, gapeMm: 27 },
    { step: 16, gapeMm: 36 },
    { step: 20, gapeMm: 46 },
  ],
} as const

/** Standard wire (mm) by size step. Nominal. */
export const HOOK_WIRES = [
  { step: -19, wireMm: 0.3 },
  { step: -9, wireMm: 0.5 },
  { step: -3, wireMm: 0.75 },
  { step: 0, wireMm: 1 },
  { step: 3, wireMm: 1.35 },
  { step: 6, wireMm: 1.8 },
  { step: 10, wireMm: 2.6 },
  { step: 16, wireMm: 4 },
  { step: 20, wireMm: 4.6 },
] as const

/**
 * Patterns: which numbers they go by, gape and wire over those, and their outline in gapes: the shank from eye to bend, how far the
 * point comes back up beside it, and how far it leans in to the shank; how many hooks share the shank. Nominal, ours.
 */
export const HOOK_PATTERNS = {
  j: { name: 'J', numbers: 'j', gape: 1, wire: 1, shank: 2.1, throat: 1.1, lean: 0, points: 1 },
  lightJ: { name: 'light J', numbers: 'j', gape: 1, wire: 0.85, shank: 2.1, throat: 1.1, lean: 0, points: 1 },
  longShank: { name: 'long shank', numbers: 'j', gape: 0.9, wire: 1, shank: 3.2, throat: 1.1, lean: 0, points: 1 },
  baitHolder: { name: 'bait-holder', numbers: 'j', gape: 0.95, wire: 1, shank: 2.3, throat: 1.1, lean: 0.05, points: 1 },
  circle: { name: 'circle', numbers: 'circle', gape: 1, wire: 1, shank: 1.6, throat: 0.8, lean: 0.35, points: 1 },
  heavyCircle: { name: 'heavy circle', numbers: 'circle', gape: 1, wire: 1.2, shank: 1.6, throat: 0.8, lean: 0.35, points: 1 },
  wideGap: { name: 'wide-gap weedless', numbers: 'j', gape: 1.25, wire: 1, shank: 2, throat: 1.1, lean: 0, points: 1 },
  worm: { name: 'worm', numbers: 'j', gape: 0.9, wire: 0.95, shank: 2.8, throat: 1.1, lean: 0, points: 1 },
  liveBait: { name: 'short-shank live-bait', numbers: 'j', gape: 1, wire: 1.1, shank: 1.3, throat: 1, lean: 0.1, points: 1 },
  inlineSingle: { name: 'inline single', numbers: 'j', gape: 1, wire: 1.05, shank: 1.5, throat: 1, lean: 0, points: 1 },
  treble: { name: 'treble', numbers: 'j', gape: 0.75, wire: 0.9, shank: 1.8, throat: 0.9, lean: 0.05, points: 3 },
  jig: { name: 'jig hook', numbers: 'j', gape: 1, wire: 1.05, shank: 2.2, throat: 1.1, lean: 0, points: 1 },
} as const

/** Sizes offered, smallest first. */
export const HOOK_SIZES = [
  ...['20', '18', '16', '14', '12', '10', '8', '6', '4', '2', '1'],
  ...['1/0', '2/0', '3/0', '4/0', '5/0', '6/0', '7/0', '8/0', '9/0', '10/0', '11/0', '12/0', '14/0', '16/0', '18/0', '20/0'],
] as const
