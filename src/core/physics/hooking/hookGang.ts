export type HookGangInput = { baitLengthM: number; hookPitchM: number; linkLengthM: number; count: number }

/**
 * Span of linked hooks along a bait: `count·pitch + (count − 1)·link`, and its share of the bait's length.
 * @returns span in m, coverage as a ratio (over 1: the hooks reach past the bait).
 * Source: geometry; pitch is the length that one hook adds, eye to bend.
 */
export function hookGang({ baitLengthM, hookPitchM, linkLengthM, count }: HookGangInput): { spanM: number; coverage: number } {
  const spanM = count * hookPitchM + (count - 1) * linkLengthM
  return { spanM, coverage: spanM / baitLengthM }
}
