import { useQueries, useQuery } from '@tanstack/react-query'
import { hookPieces } from '../../../core/documents/pieces.ts'
import type { Trip } from '../../../core/documents/trip.ts'
import { type HoursToFish, hoursToFish } from '../../../core/plan/hoursToFish.ts'
import { baitsFor, DEFAULT_BAIT_MINUTES, tripCautions, tripSpan } from '../../../core/plan/trip.ts'
import { HOUR_MS } from '../../../core/time/durations.ts'
import { localDay } from '../../../core/time/localDay.ts'
import { listQuery, revisionQuery, type SavedMark, type SavedOutfit } from '../../api/documents.ts'
import { useTraceHeads } from '../../api/useTraceHeads.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { type TripVisit, useTripPlan, useTripVisits } from '../../plan/useTripPlan.ts'
import { useTripSetup } from '../../plan/useTripSetup.ts'
import { useShow } from '../../settings/preferences.tsx'
import { CAUTION_WORDS } from '../../words/tripWords.ts'
import type { SheetPart } from './TripSheet.tsx'
import { visitLines, wayBackLine } from './visitLines.ts'

/** All that is said of a planned trip: on the screen, on paper, as text and in a calendar. */
export function useTripSheet(trip: Trip, marks: readonly SavedMark[], outfits: readonly SavedOutfit[]) {
  const show = useShow()
  const catalogue = useCatalogue()
  const { visits, isLoading, error, windError } = useTripVisits(trip, marks)
  const [rod] = trip.rods
  const outfitOf = (id: string | undefined) => outfits.find((each) => each.id === id)
  const setup = useTripSetup(rod?.trace, outfitOf(rod?.outfitId))
  const plan = useTripPlan(visits, setup)
  const heads = useTraceHeads().data ?? []
  const tied = useQuery(listQuery('tied')).data?.documents ?? []
  const hooks = useHooks(trip)
  const said = visits.map((visit) => ({
    id: `${visit.mark.id} ${visit.fromMs}`,
    title: `${visit.mark.content.name}, ${show.clock(visit.fromMs, visit.mark.content.timeZone)} to ${show.clock(visit.toMs, visit.mark.content.timeZone)}`,
    wayBack: wayBackLine(visit, show),
    lines: visitLines(visit, { show, catalogue, plan: plan.result, isWindExpected: trip.wind !== undefined }),
  }))
  const first = visits[0]?.mark.content
  const { fromMs, toMs } = tripSpan(trip, first?.timeZone ?? 'UTC')
  const minutes = trip.baitMinutes ?? DEFAULT_BAIT_MINUTES
  const baitLines =
    hooks === 0
      ? []
      : [
          `${baitsFor(hooks, (toMs - fromMs) / HOUR_MS, minutes)} baits: ${hooks} ${hooks === 1 ? 'hook' : 'hooks'}, one every ${minutes} minutes for ${show.plain((toMs - fromMs) / HOUR_MS)} hours, and a quarter in reserve.`,
          'Half a fish makes two baits.',
        ]
  const cautions = tripCautions(
    visits.map(({ mark }) => mark.content.markKind),
    trip.people.length,
  ).map((each) => CAUTION_WORDS[each])
  const rodLines = trip.rods.map(({ outfitId, trace, tiedId, sinkerKg }) =>
    [
      outfitOf(outfitId)?.content.name ?? 'a deleted outfit',
      heads.find(({ id }) => id === trace?.id)?.content.name,
      tied.find(({ id }) => id === tiedId)?.content.name,
      sinkerKg === undefined ? undefined : show.entered('mass', sinkerKg),
    ]
      .filter(Boolean)
      .join(': '),
  )
  const part = (title: string, lines: readonly string[]): SheetPart[] => (lines.length > 0 ? [{ title, lines }] : [])
  return {
    visits: said,
    hours: hoursOf(visits[0], trip),
    waterNote: error
      ? `The tide cannot be loaded right now. ${error.message}`
      : isLoading
        ? 'Calculating the water …'
        : windError
          ? 'No wind forecast right now.'
          : plan.error
            ? `The sinkers could not be worked out. ${plan.error.message}`
            : plan.isRunning
              ? 'Calculating the sinkers …'
              : undefined,
    baitLines,
    cautions,
    sheet: [
      ...part('When', [
        `${show.date(trip.date)}, ${trip.from} to ${trip.to}`,
        ...(trip.people.length > 0 ? [trip.people.join(', ')] : []),
      ]),
      ...said.map(({ title, lines }) => ({ title, lines })),
      ...part('Rods', rodLines),
      ...part('Bait', baitLines),
      ...part(
        'Packing list',
        trip.packing.map(({ text, isPacked }) => `${isPacked ? '☑' : '☐'} ${text}`),
      ),
      ...part('Take care', cautions),
      ...part('Notes', trip.notes ? [trip.notes] : []),
    ],
    entries: visits.map(({ mark, fromMs: begin, toMs: end }) => ({
      fromMs: begin,
      toMs: end,
      title: trip.name || mark.content.name,
      place: mark.content.name,
    })),
  }
}

/** Hooks on all rods together, of the traces that are loaded. */
function useHooks({ rods }: Trip): number {
  const traces = rods.flatMap(({ trace }) => trace ?? [])
  const designs = useQueries({ queries: traces.map(({ id, revision }) => revisionQuery('traces', id, revision)) })
  return designs.reduce((sum, { data }) => sum + (data ? hookPieces(data.content.trace).length : 0), 0)
}

/** Hours of the day that have something for them at the first mark, as long as those of the trip. */
function hoursOf(visit: TripVisit | undefined, trip: Trip): { timeZone: string; choices: HoursToFish[] } | undefined {
  if (!visit?.day) return undefined
  const { timeZone } = visit.mark.content
  const { fromMs, toMs } = tripSpan(trip, timeZone)
  return { timeZone, choices: hoursToFish(visit.day, toMs - fromMs, localDay(trip.date, timeZone), fromMs) }
}
