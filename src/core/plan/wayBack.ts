import type { Mark } from '../documents/mark.ts'
import type { TideSpan } from '../physics/tide/tideSpan.ts'
import { MINUTE_MS } from '../time/durations.ts'

/** How long before it closes the way back is to be taken, ms. Nominal, ours; on foot over rock it takes longer. */
export const WAY_BACK_MARGIN_MS = 30 * MINUTE_MS

/**
 * When the tide closes the way back from a mark, between two instants: the first at which it stands as high as the mark says, ms.
 * Undefined where the mark says nothing, its tide is unknown, or it does not come so high.
 */
export function wayBackClosesMs(
  { wayBackM }: Pick<Mark, 'wayBackM'>,
  tide: Pick<TideSpan, 'heights'> | undefined,
  fromMs: number,
  toMs: number,
): number | undefined {
  if (wayBackM === undefined || !tide) return undefined
  const { heights } = tide
  for (const [i, high] of heights.entries()) {
    if (high.timeMs < fromMs || high.heightM < wayBackM) continue
    const low = heights[i - 1]
    const share = low && low.heightM < wayBackM ? (wayBackM - low.heightM) / (high.heightM - low.heightM) : 1
    const atMs = low && share < 1 ? low.timeMs + share * (high.timeMs - low.timeMs) : high.timeMs
    const closesMs = Math.max(fromMs, atMs)
    return closesMs <= toMs ? closesMs : undefined
  }
  return undefined
}
