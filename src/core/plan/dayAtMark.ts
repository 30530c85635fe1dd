import { hasTide, type Mark } from '../documents/mark.ts'
import { type Sky, skyThrough } from '../physics/sky/sky.ts'
import type { HeightPoint } from '../physics/tide/height.ts'
import { heightAtM, type TideSpan } from '../physics/tide/tideSpan.ts'
import { atMark, type Wind } from './atMark.ts'
import { type StreamPoint, slacksOf, streamThrough } from './streamThrough.ts'
import { tideAtMark, tideByTable } from './tideAtMark.ts'

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

type Between = { startMs: number; endMs: number }

/**
 * A day's tide, stream and sky at a mark, without its wind; undefined while its port's tide is not there, or where its own table has
 * nothing of the day.
 */
export function dayAtMark(mark: Mark, { startMs, endMs }: Between, port: TideSpan | undefined): Day | undefined {
  const own = mark.portId === undefined ? tideByTable(mark, { fromMs: startMs, toMs: endMs }) : undefined
  const tide = mark.portId === undefined ? own : port && tideAtMark(mark, port)
  if (!tide && hasTide(mark)) return undefined
  const stream = streamThrough(mark, tide, startMs, endMs, STREAM_STEP_S)
  const { latitudeDeg, longitudeDeg } = mark
  return {
    tide,
    heights: tide ? stream.map(({ timeMs }) => ({ timeMs, heightM: heightAtM(tide, timeMs) })) : [],
    stream,
    slacks: slacksOf(stream),
    winds: [],
    sky:
      latitudeDeg === undefined || longitudeDeg === undefined
        ? undefined
        : skyThrough({ latitudeDeg, longitudeDeg }, { fromMs: startMs, toMs: endMs }),
  }
}

/** The same day with its wind, where that is known. */
export function withWinds(
  day: Day | undefined,
  mark: Mark,
  { startMs, endMs }: Between,
  winds: readonly Wind[] = [],
): Day | undefined {
  const inDay = winds.filter(({ timeMs }) => timeMs >= startMs && timeMs <= endMs)
  return (
    day && {
      ...day,
      winds: inDay.map((each) => ({ ...each, overTide: atMark(mark, day.tide, inDay, each.timeMs).windOverTide })),
    }
  )
}
