import type { Mark } from '../documents/mark.ts'
import type { Stream } from '../physics/tide/stream.ts'
import type { TideSpan } from '../physics/tide/tideSpan.ts'
import { streamsAt } from './atMark.ts'

export type StreamPoint = Stream & { timeMs: number }

/** The stream at a mark at even steps, both ends included. */
export function streamThrough(
  mark: Mark,
  tide: TideSpan | undefined,
  fromMs: number,
  toMs: number,
  stepS: number,
): StreamPoint[] {
  const at = streamsAt(mark, tide)
  const count = Math.floor((toMs - fromMs) / (stepS * 1_000))
  return Array.from({ length: count + 1 }, (_, i) => {
    const timeMs = fromMs + i * stepS * 1_000
    return { timeMs, ...at(timeMs) }
  })
}

/** What the stream falls to at slack, over the stronger of the peaks beside it. */
const SLACK_SHARE = 0.5

/** Weakest waters this close together are one slack, ms. */
const ONE_SLACK_MS = 2 * 3_600_000

/** Slack waters: where the stream is at its weakest, under half of what it runs at before and after. */
export function slacksOf(points: readonly StreamPoint[]): StreamPoint[] {
  const weak = points.filter((point, i) => {
    const [before, after] = [points[i - 1], points[i + 1]]
    return before && after && point.rateMperS < before.rateMperS && point.rateMperS <= after.rateMperS
  })
  const turns = weak.filter((turn) =>
    weak.every((other) => other.rateMperS >= turn.rateMperS || Math.abs(other.timeMs - turn.timeMs) > ONE_SLACK_MS),
  )
  return turns.filter((turn, i) => {
    const [from, to] = [turns[i - 1]?.timeMs ?? -Infinity, turns[i + 1]?.timeMs ?? Infinity]
    const peak = (within: (timeMs: number) => boolean) =>
      Math.max(0, ...points.filter(({ timeMs }) => within(timeMs)).map(({ rateMperS }) => rateMperS))
    const beside = Math.max(
      peak((timeMs) => timeMs > from && timeMs < turn.timeMs),
      peak((timeMs) => timeMs > turn.timeMs && timeMs < to),
    )
    return turn.rateMperS < SLACK_SHARE * beside
  })
}
