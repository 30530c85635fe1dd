import type { Catalogue } from '../../../core/catalogue/catalogue.ts'
import { type Plan, planChangesWithin } from '../../../core/plan/planDay.ts'
import { WAY_BACK_MARGIN_MS, wayBackClosesMs } from '../../../core/plan/wayBack.ts'
import type { TripVisit } from '../../plan/useTripPlan.ts'
import type { Show } from '../../settings/show.ts'
import { assumedWords } from '../../words/assumedWords.ts'
import { sinkerWords } from '../../words/waterWords.ts'

type Given = { show: Show; catalogue: Catalogue; plan: Plan | undefined; isWindExpected: boolean }

/** When the tide closes the way back from a mark in these hours; undefined where it does not. */
export function wayBackLine({ mark: { content: mark }, fromMs, toMs, day }: TripVisit, show: Show): string | undefined {
  const closesMs = wayBackClosesMs(mark, day?.tide, fromMs, toMs)
  if (closesMs === undefined) return undefined
  const clock = (timeMs: number) => show.clock(timeMs, mark.timeZone)
  return `The tide closes the way back at ${clock(closesMs)}. Start back by ${clock(Math.max(fromMs, closesMs - WAY_BACK_MARGIN_MS))}.`
}

/** The hours at a mark in lines: the way back, tide, slack, wind, dark and sinkers. */
export function visitLines(visit: TripVisit, { show, catalogue, plan, isWindExpected }: Given): string[] {
  const { fromMs, toMs, day } = visit
  const mark = visit.mark.content
  const wayBack = wayBackLine(visit, show)
  const clock = (timeMs: number) => show.clock(timeMs, mark.timeZone)
  const within = ({ timeMs }: { timeMs: number }) => timeMs >= fromMs && timeMs <= toMs
  if (!day) return ['The tide of this mark is unknown for this day.']
  const turns = day.tide?.turns.filter(within) ?? []
  const slacks = day.slacks.filter(within)
  const wind = day.winds.filter(within).map(({ speedMperS }) => speedMperS)
  const dark = (day.sky?.dark ?? []).filter((span) => span.toMs > fromMs && span.fromMs < toMs)
  const changes = plan ? planChangesWithin(plan.changes, fromMs, toMs) : []
  return [
    ...(wayBack === undefined ? [] : [wayBack]),
    ...turns.map(
      ({ timeMs, kind, heightM }) => `${kind === 'high' ? 'High' : 'Low'} water ${clock(timeMs)}, ${show.depth(heightM)}.`,
    ),
    slacks.length > 0 ? `Slack ${slacks.map(({ timeMs }) => clock(timeMs)).join(', ')}.` : 'No slack in these hours.',
    ...dark.map(
      (span) => `Dark without a moon from ${clock(Math.max(fromMs, span.fromMs))} to ${clock(Math.min(toMs, span.toMs))}.`,
    ),
    wind.length > 0
      ? `Wind up to ${show.computed('speed', Math.max(...wind))}, ${isWindExpected ? 'as you expect' : 'by the forecast'}. Swell is not counted.`
      : 'No wind is known; the plan assumes none, and no swell.',
    ...(changes.length > 0
      ? [
          `Sinkers: ${changes
            .map(({ timeMs, to }) => `${clock(timeMs)} ${to ? sinkerWords(catalogue, to, show) : 'none in the box holds'}`)
            .join(', ')}.`,
        ]
      : []),
    ...assumedWords(mark, show),
  ]
}
