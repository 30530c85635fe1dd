import { useQuery } from '@tanstack/react-query'
import { useMemo, useState } from 'react'
import { useSearchParams } from 'react-router'
import { isLine, pieceById } from '../../../core/documents/pieces.ts'
import { FAMILIES } from '../../../core/families/families.ts'
import { type TripRates, tripRates } from '../../../core/lessons/weakLinkPrice.ts'
import type { Setup } from '../../../core/setup/setup.ts'
import { LB } from '../../../core/units/quantities.ts'
import { runLessons } from '../../../workers/runLessons.ts'
import { documentQuery, gearQuery, marksQuery } from '../../api/documents.ts'
import { useTraceHeads } from '../../api/useTraceHeads.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { CurveChart } from '../../charts/CurveChart.tsx'
import { useAxis } from '../../charts/useAxis.ts'
import { JobProgress } from '../../jobs/JobProgress.tsx'
import { useJob } from '../../jobs/useJob.ts'
import type { KnownLessons } from '../../lessons/useLessons.ts'
import { usePriors } from '../../lessons/usePriors.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Field, namesOf, Select, Sheet } from '../../ui/controls.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { Fault } from '../../ui/states.tsx'
import { useWidth } from '../../ui/useWidth.ts'

/** Labels that lines are sold with, where the box has too few to compare. */
const USUAL_LABELS_N = [4, 6, 8, 10, 12, 15, 18, 20, 25, 30].map((lb) => lb * LB)
const FEW_LABELS = 3
const ANYWHERE = 'anywhere'

/** What a trip costs with weak links of the lines that are owned: in snags, and in casts that lose the sinker. */
export function WeakLinkPage({ known: { sums } }: { known: KnownLessons }) {
  const [query] = useSearchParams()
  const heads = useTraceHeads().data ?? []
  const marks = useQuery(marksQuery).data ?? []
  const fished = new Set(sums.counts.filter(({ by }) => by === 'trace').map(({ value }) => value))
  // Those of a family with a weak link first, and among them those that were fished.
  const rank = ({ id, content }: (typeof heads)[number]) =>
    2 * Number(FAMILIES.some((family) => family.id === content.family && family.weakLink)) + Number(fished.has(id))
  const traces = heads.toSorted((a, b) => rank(b) - rank(a))
  const [chosen, setChosen] = useState<string>()
  const [markId, setMarkId] = useState(query.get('mark') ?? ANYWHERE)
  const [hours, setHours] = useState(5)
  const atMark = sums.counts.find(({ by, value }) => by === 'mark' && value === markId)
  const at = atMark ?? sums.counts.find(({ by }) => by === 'all')
  const traceId = chosen ?? traces[0]?.id
  const { losses } = usePriors()
  const rates = useMemo(() => tripRates(at?.counts, losses, hours), [at, losses, hours])
  const show = useShow()
  return (
    <Sheet title="What a trip costs, by the strength of the weak link">
      <div className="grid gap-2 sm:grid-cols-2">
        <Field label="trace" htmlFor="weak-trace">
          <Select id="weak-trace" value={traceId} choices={namesOf(traces)} onChoose={setChosen} />
        </Field>
        <Field label="where" htmlFor="weak-mark">
          <Select
            id="weak-mark"
            value={markId}
            choices={[{ value: ANYWHERE, text: 'all marks' }, ...namesOf(marks)]}
            onChoose={setMarkId}
          />
        </Field>
        <NumberField
          label="rod hours"
          value={hours}
          least={0.5}
          most={200}
          onChange={(next) => next !== undefined && setHours(next)}
        />
        <p className="self-center text-sm text-quiet">
          From the log{markId !== ANYWHERE && !atMark ? ' of all marks, as nothing was logged here yet' : ''}:{' '}
          {show.number(rates.snags, 1)} snags that cost something and {show.number(rates.casts, 0)} casts.
        </p>
      </div>
      {traceId === undefined ? <p>There is no trace yet.</p> : <Prices key={traceId} traceId={traceId} rates={rates} />}
    </Sheet>
  )
}

function Prices({ traceId, rates }: { traceId: string; rates: TripRates }) {
  const catalogue = useCatalogue()
  const trace = useQuery(documentQuery('traces', traceId)).data
  const outfitId = trace?.content.outfitId
  const outfit = useQuery({ ...documentQuery('outfits', outfitId ?? ''), enabled: outfitId !== undefined }).data
  const gear = useQuery(gearQuery).data
  const setup = useMemo(
    (): Setup | undefined =>
      trace && outfit && { trace: trace.content.trace, conditions: trace.content.conditions, outfit: outfit.content, catalogue },
    [trace, outfit, catalogue],
  )
  const weak = setup?.trace.weakLink === undefined ? undefined : pieceById(setup.trace, setup.trace.weakLink)
  const line = weak && isLine(weak) ? weak : undefined
  const owned = (gear ?? []).flatMap(({ content }) =>
    content.kind === 'line' && content.material === line?.material ? [content.strengthN] : [],
  )
  const labels = new Set(owned).size < FEW_LABELS ? USUAL_LABELS_N : owned
  const labelsN = [...new Set([...labels, ...(line ? [line.strengthN] : [])])].toSorted((a, b) => a - b).join()
  const input = useMemo(
    () => setup && { kind: 'weakLink' as const, setup, labelsN: labelsN.split(',').map(Number), rates },
    [setup, labelsN, rates],
  )
  const job = useJob({
    name: 'weak-link',
    input,
    run: runLessons<'weakLink'>,
    keepsPrevious: true,
  })
  if (!setup || !gear) return <p role="status">Loading the trace …</p>
  if (!line) return <p className="mt-2">This trace has no weak link. Add one on the bench: a weaker line to the sinker.</p>
  if (job.error) return <Fault>{job.error.message}</Fault>
  if (!job.result) return <JobProgress share={job.share} onStop={job.stop} />
  const { prices } = job.result
  if (!prices) return <p className="mt-2">The weak link of this trace leads to no sinker.</p>
  return <PriceChart prices={prices} nowN={line.strengthN} isOwned={labels === owned} />
}

type Answer = NonNullable<Awaited<ReturnType<typeof runLessons<'weakLink'>>>['prices']>

function PriceChart({ prices: { rows, best, from, to }, nowN, isOwned }: { prices: Answer; nowN: number; isOwned: boolean }) {
  const show = useShow()
  const axis = useAxis()
  const { ref, width } = useWidth<HTMLDivElement>()
  const least = rows[best]!
  const label = (strengthN: number) => show.entered('strength', strengthN)
  const now = rows.find(({ strengthN }) => Math.abs(strengthN - nowN) < 1e-6)
  const most = Math.max(...rows.map(({ cost }) => cost), 0.1)
  const line = (of: (row: (typeof rows)[number]) => number) => rows.map((row) => ({ x: row.strengthN, y: of(row) }))
  return (
    <div className="mt-2 grid grid-cols-[minmax(0,1fr)] gap-2">
      <p className="font-semibold">
        Cheapest: {label(least.strengthN)}, {show.number(least.cost, 1)} a trip in the currency of your prices.
        {from < to && ` From ${label(rows[from]!.strengthN)} to ${label(rows[to]!.strengthN)} it makes no difference.`}
      </p>
      {now && now !== least && (
        <p>
          On this trace now: {label(now.strengthN)}, {show.number(now.cost, 1)} a trip.
        </p>
      )}
      <div ref={ref} style={{ minHeight: 220 }}>
        {width > 0 && rows.length > 1 && (
          <CurveChart
            width={Math.min(width, 620)}
            height={220}
            span={{ x: [rows[0]!.strengthN, rows.at(-1)!.strengthN], y: [0, most] }}
            x={axis('weak link', 'strength')}
            y={{ name: 'a trip costs', unit: 'currency of your prices', factor: 1 }}
            curves={[
              { id: 'cost', points: line(({ cost }) => cost), look: 'first' },
              { id: 'snags', points: line(({ inSnags }) => inSnags), look: 'second' },
            ]}
            marks={[{ id: 'least', x: least.strengthN, y: least.cost, text: label(least.strengthN) }]}
            summary={`What a trip costs by the strength of the weak link: least at ${label(least.strengthN)}.`}
          />
        )}
      </div>
      <div className="overflow-x-auto">
        <table className="w-full max-w-xl text-right tabular-nums">
          <thead className="text-sm text-quiet">
            <tr>
              <th scope="col" className="text-left font-normal">
                weak link
              </th>
              <th scope="col" className="font-normal">
                in snags
              </th>
              <th scope="col" className="font-normal">
                in casts
              </th>
              <th scope="col" className="font-normal">
                a trip
              </th>
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <tr key={row.strengthN} className={`border-t border-rule ${row === least ? 'font-semibold' : ''}`}>
                <th scope="row" className="text-left font-normal">
                  {label(row.strengthN)}
                </th>
                <td>{show.number(row.inSnags, 2)}</td>
                <td>{show.number(row.inCasts, 2)}</td>
                <td>{show.number(row.cost, 2)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="text-sm text-quiet">
        {isOwned ? 'Lines that you own' : 'Usual labels: you own too few lines of this material to compare'}. Nominal prices, and
        the chances of Snag and Cast.
      </p>
    </div>
  )
}
