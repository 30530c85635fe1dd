import { useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import { hasTide, type Mark } from '../../core/documents/mark.ts'
import { type Sky, skyThrough } from '../../core/physics/sky/sky.ts'
import type { HeightPoint } from '../../core/physics/tide/height.ts'
import { heightAtM, type TideSpan } from '../../core/physics/tide/tideSpan.ts'
import { atMark, type Wind } from '../../core/plan/atMark.ts'
import { type StreamPoint, slacksOf, streamThrough } from '../../core/plan/streamThrough.ts'
import { tideAtMark, tideByTable } from '../../core/plan/tideAtMark.ts'
import { HOUR_MS } from '../../core/time/durations.ts'
import type { LocalDay } from '../../core/time/localDay.ts'
import { tideQuery } from '../api/tides.ts'
import { windQuery } from '../api/weather.ts'

/** A mark's own delay may reach so far into the days beside. */
const BESIDE_MS = 7 * HOUR_MS
const STREAM_STEP_S = 300

/** A day at a mark, all but the sinkers; its tide, and without a position its sky, may be unknown. */
export type Day = {
  tide: TideSpan | undefined
  heights: HeightPoint[]
  stream: StreamPoint[]
  slacks: StreamPoint[]
  winds: (Wind & { overTide: boolean })[]
  sky: Sky | undefined
}

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
  const { startMs, endMs } = localDay
  const { portId, latitudeDeg, longitudeDeg } = mark
  const port = useQuery(dayTideQuery(mark, localDay))
  const place = useMemo(
    () => (latitudeDeg === undefined || longitudeDeg === undefined ? undefined : { latitudeDeg, longitudeDeg }),
    [latitudeDeg, longitudeDeg],
  )
  const wind = useQuery(dayWindQuery(mark, localDay))
  const tide = useMemo(() => {
    if (portId !== undefined) return port.data && tideAtMark(mark, port.data)
    return tideByTable(mark, { fromMs: startMs, toMs: endMs })
  }, [mark, portId, port.data, startMs, endMs])
  const day = useMemo((): Day | undefined => {
    if (!tide && hasTide(mark)) return undefined
    const stream = streamThrough(mark, tide, startMs, endMs, STREAM_STEP_S)
    const inDay = (wind.data ?? []).filter(({ timeMs }) => timeMs >= startMs && timeMs <= endMs)
    return {
      tide,
      heights: tide ? stream.map(({ timeMs }) => ({ timeMs, heightM: heightAtM(tide, timeMs) })) : [],
      stream,
      slacks: slacksOf(stream),
      winds: inDay.map((each) => ({ ...each, overTide: atMark(mark, tide, inDay, each.timeMs).windOverTide })),
      sky: place && skyThrough(place, { fromMs: startMs, toMs: endMs }),
    }
  }, [mark, tide, place, wind.data, startMs, endMs])
  return {
    day,
    /** The mark’s own table has nothing of this day. */
    isUntyped: portId === undefined && hasTide(mark) && !tide,
    error: port.error,
    retry: port.refetch,
    windError: wind.error,
  }
}
