import type { Sky, Span } from '../physics/sky/sky.ts'
import type { Turn } from '../physics/tide/height.ts'
import { heightAtM, type TideSpan } from '../physics/tide/tideSpan.ts'
import type { StreamPoint } from './streamThrough.ts'

/** The water at one look: what is asked before anything else. Times are instants, ms. */
export type Glance = {
  /** Height now and whether it rises; undefined where the tide is unknown or another day is looked at. */
  tide: { heightM: number; isRising: boolean } | undefined
  nextTurn: Turn | undefined
  slackMs: number | undefined
  /** The dark hours that are not over: without sun, and without sun and moon. */
  night: Hours | undefined
  dark: Hours | undefined
}

/** Hours to come; without a beginning they have begun, without an end they go on past what is looked at. */
type Hours = { fromMs?: number; toMs?: number }

type Water = { tide: TideSpan | undefined; slacks: readonly StreamPoint[]; sky: Sky | undefined }

/** Over how long the tide is seen to rise or fall, ms. */
const LOOK_MS = 300_000

/** What is next from an instant on, up to another. */
export function glanceAt({ tide, slacks, sky }: Water, atMs: number, untilMs: number): Glance {
  const first = tide?.heights[0]?.timeMs ?? Number.POSITIVE_INFINITY
  const last = tide?.heights.at(-1)?.timeMs ?? Number.NEGATIVE_INFINITY
  const isKnown = tide && atMs >= first && atMs + LOOK_MS <= last
  const hours = (span: Span | undefined): Hours | undefined =>
    span && { ...(span.fromMs > atMs ? { fromMs: span.fromMs } : {}), ...(span.toMs < untilMs ? { toMs: span.toMs } : {}) }
  return {
    tide: isKnown
      ? { heightM: heightAtM(tide, atMs), isRising: heightAtM(tide, atMs + LOOK_MS) > heightAtM(tide, atMs) }
      : undefined,
    nextTurn: tide?.turns.find(({ timeMs }) => timeMs > atMs),
    slackMs: slacks.find(({ timeMs }) => timeMs > atMs)?.timeMs,
    night: hours(sky?.night.find(({ toMs }) => toMs > atMs)),
    dark: hours(sky?.dark.find(({ toMs }) => toMs > atMs)),
  }
}
