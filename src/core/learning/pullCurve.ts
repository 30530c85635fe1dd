/** One reading of a line scale: when, from the start of the pull, and the load. */
export type Reading = { atMs: number; loadN: number }
/** A load that fell back and was taken up again: when it was lowest, from where and to where. */
export type Slip = { atMs: number; fromN: number; toN: number }
/** What a pull shows so far: its highest load, every slip, and whether it has broken. */
export type PullAnalysis = { peakN: number; slips: Slip[]; broke: boolean }

/** Under this share of its peak nothing holds any more, and so many readings must say so. Ours. */
const BROKEN_UNDER = 0.1
const BROKEN_READINGS = 3
/** A load that falls by this share and is taken up again has slipped. Ours: more than the hand and the scale waver. */
const SLIPPED_BY = 0.15
/** A peak under this is a hand on the hook, N. Ours. */
const MIN_PEAK_N = 5

/** Reads a pull: a break lets go for good, a slip catches again. Valid: 10 to 100 readings a second. */
export function analysePull(readings: readonly Reading[]): PullAnalysis {
  let [peakN, highN, lowN, lowAtMs] = [0, 0, Number.POSITIVE_INFINITY, 0]
  let gone = 0
  const slips: Slip[] = []
  for (const { atMs, loadN } of readings) {
    peakN = Math.max(peakN, loadN)
    gone = peakN >= MIN_PEAK_N && loadN < BROKEN_UNDER * peakN ? gone + 1 : 0
    if (gone >= BROKEN_READINGS) return { peakN, slips, broke: true }
    if (loadN >= highN) {
      highN = loadN
      lowN = Number.POSITIVE_INFINITY
    } else if (loadN < lowN) [lowN, lowAtMs] = [loadN, atMs]
    else if (lowN < (1 - SLIPPED_BY) * highN && lowN >= BROKEN_UNDER * peakN && loadN > lowN * (1 + SLIPPED_BY / 2)) {
      if (highN >= MIN_PEAK_N) slips.push({ atMs: lowAtMs, fromN: highN, toN: lowN })
      highN = loadN
      lowN = Number.POSITIVE_INFINITY
    }
  }
  return { peakN, slips, broke: false }
}
