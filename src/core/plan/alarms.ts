import { MINUTE_MS } from '../time/durations.ts'
import { WAY_BACK_MARGIN_MS } from './wayBack.ts'

export type AlarmKind = 'wayBack' | 'sinker' | 'rebait' | 'slack' | 'end'
/** Something on a trip that has its time, ms. */
export type Alarm = { kind: AlarmKind; timeMs: number }

type Known = {
  /** When the way back closes. */
  wayBackMs: number | undefined
  /** The next change of sinker. */
  sinkerMs: number | undefined
  /** The last cast of the rod that was cast first, and how long a bait stays on. */
  castMs: number | undefined
  baitMinutes: number
  slackMs: number | undefined
  endMs: number
}

/** What is to come on a trip, the first first. The way back is told so long before it closes that it can be taken. */
export function alarmsOf({ wayBackMs, sinkerMs, castMs, baitMinutes, slackMs, endMs }: Known): Alarm[] {
  const alarms: [AlarmKind, number | undefined][] = [
    ['wayBack', wayBackMs === undefined ? undefined : wayBackMs - WAY_BACK_MARGIN_MS],
    ['sinker', sinkerMs],
    ['rebait', castMs === undefined ? undefined : castMs + baitMinutes * MINUTE_MS],
    ['slack', slackMs],
    ['end', endMs],
  ]
  return alarms.flatMap(([kind, timeMs]) => (timeMs === undefined ? [] : [{ kind, timeMs }])).sort((a, b) => a.timeMs - b.timeMs)
}

/** What came due between two looks at the clock. */
export const dueBetween = (alarms: readonly Alarm[], lastMs: number, nowMs: number): Alarm[] =>
  alarms.filter(({ timeMs }) => timeMs > lastMs && timeMs <= nowMs)
