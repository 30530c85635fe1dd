import { MINUTE_MS } from '../time/durations.ts'
import type { Day } from './dayAtMark.ts'

/** Hours that could be fished, and what speaks for them. Times are instants, ms. */
export type HoursToFish = { why: 'rising' | 'falling' | 'slack' | 'dark'; atMs: number; fromMs: number; toMs: number }

const STEP_MS = 15 * MINUTE_MS

/**
 * Hours of a length in a day, one set for each thing that may count: the tide up to high water and down from it, both sides of a slack,
 * and the dark without a moon. Of several the one nearest to an instant, in the order of the day.
 * @param span the day; hours lie in it whole.
 */
export function hoursToFish(
  { tide, slacks, sky }: Pick<Day, 'tide' | 'slacks' | 'sky'>,
  lengthMs: number,
  span: { startMs: number; endMs: number },
  nearMs: number,
): HoursToFish[] {
  const hours = (why: HoursToFish['why'], atMs: number, beginsMs: number): HoursToFish[] => {
    const fromMs = Math.round(beginsMs / STEP_MS) * STEP_MS
    const toMs = fromMs + lengthMs
    return fromMs >= span.startMs && toMs <= span.endMs ? [{ why, atMs, fromMs, toMs }] : []
  }
  const high = (tide?.turns ?? []).filter(({ kind }) => kind === 'high').map(({ timeMs }) => timeMs)
  const nearest = (of: readonly HoursToFish[]): HoursToFish[] =>
    of.toSorted((a, b) => Math.abs(a.fromMs - nearMs) - Math.abs(b.fromMs - nearMs)).slice(0, 1)
  return [
    ...nearest(high.flatMap((atMs) => hours('rising', atMs, atMs - lengthMs))),
    ...nearest(high.flatMap((atMs) => hours('falling', atMs, atMs))),
    ...nearest(slacks.flatMap(({ timeMs }) => hours('slack', timeMs, timeMs - lengthMs / 2))),
    // Dark that is shorter than the hours has them around its middle.
    ...nearest(
      (sky?.dark ?? []).flatMap(({ fromMs, toMs }) =>
        hours('dark', fromMs, toMs - fromMs >= lengthMs ? fromMs : (fromMs + toMs - lengthMs) / 2),
      ),
    ),
  ].toSorted((a, b) => a.fromMs - b.fromMs)
}
