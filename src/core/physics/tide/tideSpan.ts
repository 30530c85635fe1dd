import { CoreError } from '../../errors.ts'
import { HOUR_MS } from '../../time/durations.ts'
import type { HeightPoint, Turn } from './height.ts'

/** What is known of a port's tide over some time: heights at even steps, and the high and low waters of it and well around it. */
export type TideSpan = {
  heights: readonly HeightPoint[]
  turns: readonly Turn[]
  springRangeM: number
  neapRangeM: number
}

/** The mean time between high waters, hours: half a lunar day. */
export const TIDE_HOURS = 12.4206

/**
 * Height of the tide between the heights of a span, m over chart datum.
 * @throws CoreError 'out-of-range' outside it.
 */
export function heightAtM({ heights }: Pick<TideSpan, 'heights'>, timeMs: number): number {
  const after = heights.findIndex((point) => point.timeMs >= timeMs)
  const [high, low] = [heights[after], heights[Math.max(0, after - 1)]]
  if (!high || !low || timeMs < low.timeMs) throw outside(timeMs)
  if (high.timeMs === low.timeMs) return high.heightM
  return low.heightM + ((timeMs - low.timeMs) / (high.timeMs - low.timeMs)) * (high.heightM - low.heightM)
}

/**
 * The tide's hour from the nearest high water, and the range of the tide there. Hours are stretched so that the way from one high
 * water to the next is 12.42: a stream table then fits a long tide at neaps as it does a short one at springs.
 * @throws CoreError 'out-of-range' where the high waters around it are not known.
 */
export function tideHourAt({ turns }: Pick<TideSpan, 'turns'>, timeMs: number): { hour: number; rangeM: number } {
  const next = turns.findIndex((turn) => turn.kind === 'high' && turn.timeMs > timeMs)
  const last = turns.findLastIndex((turn, i) => turn.kind === 'high' && i < next)
  if (next < 0 || last < 0) throw outside(timeMs)
  const share = (timeMs - turns[last]!.timeMs) / (turns[next]!.timeMs - turns[last]!.timeMs)
  const [before, after] = [rangeAround(turns, last), rangeAround(turns, next)]
  return { hour: TIDE_HOURS * (share <= 0.5 ? share : share - 1), rangeM: before + share * (after - before) }
}

/** Range about a high water: over the mean of the low waters beside it, m. */
function rangeAround(turns: readonly Turn[], i: number): number {
  const lows = [turns[i - 1], turns[i + 1]].filter((turn) => turn?.kind === 'low') as Turn[]
  return turns[i]!.heightM - lows.reduce((sum, low) => sum + low.heightM, 0) / Math.max(1, lows.length)
}

/** Range about each high water, m. */
export const rangesOfTurns = (turns: readonly Turn[]): number[] =>
  turns.flatMap(({ kind }, i) => (kind === 'high' ? [rangeAround(turns, i)] : []))

export type Springs = { kind: 'springs' | 'neaps'; timeMs: number; rangeM: number }

/** Days on either side that a spring or neap tide is the largest or smallest of; and that must be known. */
const REACH_MS = 5 * 24 * HOUR_MS

/** The spring and neap tides among turns, each by the high water with the largest or smallest range for five days around. */
export function springsAndNeaps(turns: readonly Turn[]): Springs[] {
  const highs = turns
    .map((turn, i) => ({ ...turn, i }))
    .filter(({ kind, i }) => kind === 'high' && i > 0 && i < turns.length - 1)
    .map(({ timeMs, i }) => ({ timeMs, rangeM: rangeAround(turns, i) }))
  // A morning and an evening tide differ: of two together only the course of the days is left.
  const even = highs.slice(1).map((high, i) => ({ timeMs: high.timeMs, rangeM: (high.rangeM + highs[i]!.rangeM) / 2 }))
  return even.flatMap((high): Springs[] => {
    const around = even.filter(({ timeMs }) => Math.abs(timeMs - high.timeMs) <= REACH_MS)
    if (around[0] === even[0] || around.at(-1) === even.at(-1)) return []
    const ranges = around.map(({ rangeM }) => rangeM)
    if (high.rangeM === Math.max(...ranges)) return [{ kind: 'springs', ...high }]
    return high.rangeM === Math.min(...ranges) ? [{ kind: 'neaps', ...high }] : []
  })
}

function outside(timeMs: number): CoreError {
  return new CoreError('out-of-range', 'The tide is unknown at this time', { value: new Date(timeMs).toISOString() })
}
