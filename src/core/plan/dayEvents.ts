import type { Sky, SkyEvent } from '../physics/sky/sky.ts'
import type { TideSpan } from '../physics/tide/tideSpan.ts'
import type { Owned } from '../setup/owned.ts'
import type { Plan } from './planDay.ts'
import type { StreamPoint } from './streamThrough.ts'

/** Something of a day that is worth a line in a calendar. */
export type DayEvent = { timeMs: number } & (
  | { kind: 'high' | 'low'; heightM: number }
  | { kind: 'slack'; rateMperS: number }
  | { kind: 'change'; to: Owned | undefined }
  | { kind: SkyEvent }
)

/** High and low water, slack, sun and moon, and the changes of sinker between two instants, in order. */
export function dayEvents(
  { tide, slacks, sky, plan }: { tide: TideSpan | undefined; slacks: readonly StreamPoint[]; sky: Sky | undefined; plan: Plan },
  fromMs: number,
  toMs: number,
): DayEvent[] {
  const within = ({ timeMs }: { timeMs: number }) => timeMs >= fromMs && timeMs < toMs
  return [
    ...(tide?.turns ?? []).filter(within).map(({ timeMs, kind, heightM }) => ({ timeMs, kind, heightM })),
    ...slacks.filter(within).map(({ timeMs, rateMperS }) => ({ timeMs, kind: 'slack' as const, rateMperS })),
    ...(sky?.events ?? []).filter(within),
    ...plan.changes.filter(within).map(({ timeMs, to }) => ({ timeMs, kind: 'change' as const, to })),
  ].toSorted((a, b) => a.timeMs - b.timeMs)
}
