import { useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import { hasTide, type Mark } from '../../core/documents/mark.ts'
import { dayAtMark, withWinds } from '../../core/plan/dayAtMark.ts'
import { HOUR_MS } from '../../core/time/durations.ts'
import type { LocalDay } from '../../core/time/localDay.ts'
import { tideQuery } from '../api/tides.ts'
import { windQuery } from '../api/weather.ts'

/** A mark's own delay may reach so far into the days beside. */
const BESIDE_MS = 7 * HOUR_MS

/** The port's tide that a day at a mark is worked out from. */
export const dayTideQuery = ({ portId }: Mark, { startMs, endMs }: LocalDay) => ({
  ...tideQuery(portId ?? '', startMs - BESIDE_MS, endMs + BESIDE_MS),
  enabled: portId !== undefined,
})

/** The wind forecast of a day at a mark. */
export const dayWindQuery = ({ latitudeDeg, longitudeDeg }: Mark, { startMs, endMs }: LocalDay) => ({
  ...windQuery(latitudeDeg ?? 0, longitudeDeg ?? 0, startMs, endMs),
  enabled: latitudeDeg !== undefined && longitudeDeg !== undefined,
})

/** A day's tide, stream, wind and sky at a mark; without its wind where only that is not to be had. */
export function useDay(mark: Mark, localDay: LocalDay) {
  const port = useQuery(dayTideQuery(mark, localDay))
  const wind = useQuery(dayWindQuery(mark, localDay))
  const still = useMemo(() => dayAtMark(mark, localDay, port.data), [mark, localDay, port.data])
  const day = useMemo(() => withWinds(still, mark, localDay, wind.data), [still, mark, localDay, wind.data])
  return {
    day,
    /** The mark’s own table has nothing of this day. */
    isUntyped: mark.portId === undefined && hasTide(mark) && !day,
    error: port.error,
    retry: port.refetch,
    windError: wind.error,
  }
}
