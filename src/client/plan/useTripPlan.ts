import { useQueries, useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import type { Trip } from '../../core/documents/trip.ts'
import { activeHolds } from '../../core/learning/markLessons.ts'
import type { Wind } from '../../core/plan/atMark.ts'
import { type Day, dayAtMark, withWinds } from '../../core/plan/dayAtMark.ts'
import { defaultShapes } from '../../core/plan/defaultBox.ts'
import type { Leg } from '../../core/plan/planDay.ts'
import { tripDay, visitsOf } from '../../core/plan/trip.ts'
import type { Setup } from '../../core/setup/setup.ts'
import { HOUR_MS } from '../../core/time/durations.ts'
import type { LocalDay } from '../../core/time/localDay.ts'
import { runPlanLegs } from '../../workers/runPlanLegs.ts'
import { type SavedMark, sinkersQuery } from '../api/documents.ts'
import { observationsQuery } from '../api/observations.ts'
import { useJob } from '../jobs/useJob.ts'
import { dayTideQuery, dayWindQuery } from './useDay.ts'

/** The time at one mark of a trip, with its water; that is undefined while it loads, or where its table has nothing of the day. */
export type TripVisit = { mark: SavedMark; fromMs: number; toMs: number; day: Day | undefined }

/** The hours of a trip at each of its marks, with the water there. */
export function useTripVisits({ date, from, to, marks: places, wind: expected }: Trip, marks: readonly SavedMark[]) {
  const visits = useMemo(() => {
    const first = marks.find(({ id }) => id === places[0]?.id)
    const trip = { date, from, to, marks: places }
    return visitsOf(trip, first?.content.timeZone ?? 'UTC').flatMap(({ markId, fromMs, toMs }) => {
      const mark = marks.find(({ id }) => id === markId)
      return mark ? [{ mark, fromMs, toMs, localDay: tripDay(trip, mark.content.timeZone) }] : []
    })
  }, [date, from, to, places, marks])
  const tides = useQueries({ queries: visits.map(({ mark, localDay }) => dayTideQuery(mark.content, localDay)) })
  const winds = useQueries({ queries: visits.map(({ mark, localDay }) => dayWindQuery(mark.content, localDay)) })
  const [tideData, windData] = [useSame(tides.map(({ data }) => data)), useSame(winds.map(({ data }) => data))]
  return {
    visits: useMemo(
      () =>
        visits.map(
          ({ mark, fromMs, toMs, localDay }, i): TripVisit => ({
            mark,
            fromMs,
            toMs,
            day: withWinds(
              dayAtMark(mark.content, localDay, tideData[i]),
              mark.content,
              localDay,
              expected ? hourly(localDay, expected) : windData[i],
            ),
          }),
        ),
      [visits, tideData, windData, expected],
    ),
    isLoading: tides.some(({ isLoading }) => isLoading),
    error: tides.find(({ error, data }) => error && !data)?.error ?? null,
    windError: expected ? null : (winds.find(({ error, data }) => error && !data)?.error ?? null),
  }
}

/** The same wind at each hour of a day, as a forecast gives it. */
const hourly = ({ startMs, endMs }: LocalDay, wind: NonNullable<Trip['wind']>): Wind[] =>
  Array.from({ length: Math.floor((endMs - startMs) / HOUR_MS) + 1 }, (_, i) => ({ timeMs: startMs + i * HOUR_MS, ...wind }))

/** The same list as long as what is in it is the same. */
function useSame<T>(list: readonly T[]): readonly T[] {
  // biome-ignore lint/correctness/useExhaustiveDependencies: its entries are what it depends on
  return useMemo(() => list, [list.length, ...list])
}

/** The sinkers of a trip over all its marks, with the fewest changes; nothing without a trace, or while some water is unknown. */
export function useTripPlan(visits: readonly TripVisit[], setup: Setup | undefined) {
  const owned = useQuery(sinkersQuery).data
  const seen = useSame(useQueries({ queries: visits.map(({ mark }) => observationsQuery(mark.id)) }).map(({ data }) => data))
  const input = useMemo(() => {
    if (!setup || !owned || visits.some(({ day }) => !day)) return { legs: [], way: 'fewest' as const }
    const legs = visits.flatMap(({ mark: { content: mark }, fromMs, toMs, day }, i): Leg[] => {
      if (!day) return []
      const shapes = defaultShapes(owned, setup, mark.method)
      return [
        {
          setup,
          mark,
          holds: activeHolds(seen[i] ?? []),
          tide: day.tide,
          winds: day.winds,
          fromMs,
          toMs,
          owned: owned.filter(({ shape }) => shapes.includes(shape)),
        },
      ]
    })
    return { legs, way: 'fewest' as const }
  }, [setup, owned, visits, seen])
  return useJob({ name: 'trip plan', input, run: runPlanLegs })
}
