import { useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import { Link } from 'react-router'
import { isCastMethod } from '../../../core/catalogue/methods.ts'
import { CoreError } from '../../../core/errors.ts'
import { defaultShapes } from '../../../core/plan/defaultBox.ts'
import { preparedWithSinker } from '../../../core/plan/preparedWithSinker.ts'
import type { Owned } from '../../../core/setup/owned.ts'
import type { Setup } from '../../../core/setup/setup.ts'
import { dateIn, type LocalDay, localDay } from '../../../core/time/localDay.ts'
import type { SavedMark } from '../../api/documents.ts'
import {
  documentQuery,
  marksQuery,
  outfitsQuery,
  type SavedOutfit,
  type SavedTraceHead,
  sinkersQuery,
} from '../../api/documents.ts'
import { useTraceHeads } from '../../api/useTraceHeads.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { Empty, Failed, Loading } from '../../ui/states.tsx'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { DayAtMark } from './DayAtMark.tsx'
import { useWaterChoice } from './useWaterChoice.ts'
import { WaterBar } from './WaterBar.tsx'

/** A mark and a day: the tide and the stream, the sinker for each half hour, and the line's true shape at any time of it. */
export default function WaterScreen() {
  usePageTitle('Water')
  const queries = [useQuery(marksQuery), useTraceHeads(), useQuery(outfitsQuery), useQuery(sinkersQuery)] as const
  const [marks, traces, outfits, owned] = queries
  const failed = queries.find(({ error, data }) => error && !data)
  if (failed?.error)
    return (
      <Failed
        isPage
        what="The tide plan"
        error={failed.error}
        onRetry={() => {
          for (const query of queries) if (query.error) query.refetch()
        }}
      />
    )
  if (!marks.data || !traces.data || !outfits.data || !owned.data) return <Loading what="marks and traces" />
  const [first] = marks.data
  if (!first)
    return (
      <Frame>
        <Empty title="No marks yet">
          A mark is a place you fish: its position, depth, bottom and current.{' '}
          <Link to="/water/marks/new" className="underline">
            Add the first
          </Link>{' '}
          or{' '}
          <Link to="/water/marks" className="underline">
            import them from a GPX file
          </Link>
          .
        </Empty>
      </Frame>
    )
  if (traces.data.length === 0)
    return (
      <Frame>
        <Empty title="No trace to fish">
          The sinker depends on the line and the bait.{' '}
          <Link to="/traces/new" className="underline">
            Design a trace
          </Link>{' '}
          first.
        </Empty>
      </Frame>
    )
  return <Chosen marks={marks.data} first={first} traces={traces.data} outfits={outfits.data} owned={owned.data} />
}

function Frame({ children }: { children: React.ReactNode }) {
  return (
    <div className="p-3 sm:px-6">
      <h1 className="mb-3 text-xl font-bold">Water</h1>
      {children}
    </div>
  )
}

type ChosenProps = {
  marks: SavedMark[]
  first: SavedMark
  traces: readonly SavedTraceHead[]
  outfits: SavedOutfit[]
  owned: Owned[]
}

function Chosen({ marks, first, traces, outfits, owned }: ChosenProps) {
  const choice = useWaterChoice()
  const mark = marks.find(({ id }) => id === choice.mark) ?? first
  const fishable = traces.filter(({ content }) => outfits.some(({ id }) => id === content.outfitId))
  const head = fishable.find(({ id }) => id === choice.trace) ?? defaultTrace(fishable, mark)
  const chosen = useQuery({ ...documentQuery('traces', head?.id ?? ''), enabled: head !== undefined })
  const trace = chosen.data
  const outfit = outfits.find(({ id }) => id === trace?.content.outfitId)?.content
  const catalogue = useCatalogue()
  const setup = useMemo(
    (): Setup | undefined =>
      trace && outfit && { trace: trace.content.trace, outfit, conditions: trace.content.conditions, catalogue },
    [trace, outfit, catalogue],
  )
  const date = choice.day ?? dateIn(mark.content.timeZone, Date.now())
  const day = useMemo(() => dayOrFault(date, mark.content.timeZone), [date, mark.content.timeZone])
  const fault = useMemo(() => setup && outfitFault(setup), [setup])
  const shapes = (choice.box ?? (setup ? defaultShapes(owned, setup, mark.content.method) : [])).join()
  const box = useMemo(() => owned.filter(({ shape }) => shapes.split(',').includes(shape)), [owned, shapes])
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3 p-3 sm:px-6">
      <WaterBar marks={marks} mark={mark} traces={fishable} trace={head} date={date} choice={choice} />
      {!head ? (
        <Empty title="No trace to fish">The outfits of all traces are in the trash.</Empty>
      ) : chosen.error && !trace ? (
        <Failed what="The trace" error={chosen.error} onRetry={() => void chosen.refetch()} />
      ) : !setup || !trace ? (
        <Loading what="the trace" />
      ) : fault !== undefined || 'fault' in day ? (
        <p role="alert" className="rounded-lg border border-fails bg-sheet p-4">
          {'fault' in day ? day.fault : fault}
        </p>
      ) : (
        <DayAtMark
          key={`${mark.id} ${day.startMs}`}
          mark={mark}
          localDay={day}
          setup={setup}
          owned={owned}
          box={box}
          onBox={(next) => choice.set('box', next.join())}
        />
      )}
    </div>
  )
}

function dayOrFault(date: string, timeZone: string): LocalDay | { fault: string } {
  try {
    return localDay(date, timeZone)
  } catch (error) {
    return { fault: `${(error as Error).message}.` }
  }
}

/** Why a trace cannot be fished on its outfit, in a sentence; undefined where it can. */
function outfitFault(setup: Setup): string | undefined {
  try {
    preparedWithSinker(setup)
    return undefined
  } catch (error) {
    if (error instanceof CoreError) return `${setup.trace.name} cannot be fished on its outfit: ${error.message}.`
    throw error
  }
}

/** The trace that is for the mark; else one fished as there is, by its method, or dropped or cast as there. */
function defaultTrace(traces: readonly SavedTraceHead[], { id, content: mark }: SavedMark): SavedTraceHead | undefined {
  const dropped = !isCastMethod(mark.method) || mark.method === 'uptide'
  return (
    traces.find(({ content }) => content.markId === id) ??
    traces.find(({ content }) => content.method === mark.method) ??
    traces.find(({ content }) => (content.castStyle === 'none') === dropped) ??
    traces[0]
  )
}
