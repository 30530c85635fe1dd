import { memo, useEffect, useRef } from 'react'
import { type Change, changeAt, type Plan, type PlanRow } from '../../../core/plan/planDay.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { useShow } from '../../settings/preferences.tsx'
import type { Show } from '../../settings/show.ts'
import { compassPoint, sinkerWords } from '../../words/waterWords.ts'

type Props = { plan: Plan; timeZone: string; withShape: boolean; atMs: number; onScrub: (timeMs: number) => void }

const HALF_HOUR_MS = 30 * 60_000

/** The day's sinkers: the changes first, then every half hour; a row brings the view above and beside to its time. */
export const Timetable = memo(function Timetable({ plan, ...at }: Props) {
  return (
    <>
      <Changes changes={plan.changes} {...at} />
      <HalfHours rows={plan.rows} {...at} />
    </>
  )
})

/** Every change of the day; the sinker that is on is marked, and on a narrow screen is the one in view. */
function Changes({ changes, timeZone, withShape, atMs, onScrub }: Omit<Props, 'plan'> & { changes: readonly Change[] }) {
  const show = useShow()
  const catalogue = useCatalogue()
  const list = useRef<HTMLOListElement>(null)
  const on = changeAt(changes, atMs)?.timeMs
  useEffect(() => {
    const [frame, item] = [list.current, list.current?.querySelector<HTMLElement>(`[data-time="${on}"]`)]
    if (frame && item) frame.scrollLeft = item.offsetLeft - frame.offsetLeft
  }, [on])
  return (
    <ol
      ref={list}
      aria-label="Sinker changes"
      className="mb-2 flex flex-wrap gap-1.5 max-sm:flex-nowrap max-sm:overflow-x-auto max-sm:pb-1 max-sm:whitespace-nowrap"
    >
      {changes.map(({ timeMs, to }, i) => (
        <li key={timeMs} data-time={timeMs}>
          <button
            type="button"
            onClick={() => onScrub(timeMs)}
            aria-current={timeMs === on ? 'time' : undefined}
            className={`min-h-8 rounded-md border px-2 text-sm aria-[current]:bg-well ${to ? 'border-rule aria-[current]:border-ink' : 'border-fails text-fails'}`}
          >
            <span className="text-quiet">{show.clock(timeMs, timeZone)}</span>{' '}
            <strong>{to ? `${i === 0 ? '' : 'to '}${sinkerWords(catalogue, to, show, withShape)}` : 'none holds'}</strong>
          </button>
        </li>
      ))}
    </ol>
  )
}

function HalfHours({ rows, timeZone, withShape, atMs, onScrub }: Omit<Props, 'plan'> & { rows: readonly PlanRow[] }) {
  const show = useShow()
  const box = useRef<HTMLElement>(null)
  const current = rows.find(({ timeMs }) => atMs >= timeMs && atMs < timeMs + HALF_HOUR_MS)?.timeMs
  useEffect(() => {
    // Only the table's own box is scrolled: the page stays where the reader has it.
    const [frame, row] = [box.current, box.current?.querySelector<HTMLElement>(`[data-time="${current}"]`)]
    if (frame && row) frame.scrollTop = row.offsetTop - frame.clientHeight / 2
  }, [current])
  return (
    <section ref={box} className="relative max-h-[27rem] overflow-auto print:max-h-none" aria-label="Half hours">
      <table className="w-full text-sm whitespace-nowrap">
        <thead className="sticky top-0 bg-sheet text-quiet print:static">
          <tr>
            {['time', 'depth', 'current', 'minimum', 'needed', 'use'].map((name) => (
              <th
                key={name}
                scope="col"
                className={`py-1 font-normal ${name === 'time' || name === 'use' ? 'text-left' : 'text-right'} ${name === 'use' ? 'pl-3' : 'pr-2'} ${name === 'depth' || name === 'minimum' ? 'max-sm:hidden' : ''}`}
              >
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, i) => (
            <Row
              key={row.timeMs}
              row={row}
              changed={i > 0 && rows[i - 1]!.take?.massKg !== row.take?.massKg}
              current={row.timeMs === current}
              time={show.clock(row.timeMs, timeZone)}
              withShape={withShape}
              show={show}
              onScrub={onScrub}
            />
          ))}
        </tbody>
      </table>
    </section>
  )
}

type RowProps = {
  row: PlanRow
  changed: boolean
  current: boolean
  time: string
  withShape: boolean
  show: Show
  onScrub: (timeMs: number) => void
}

function Row({ row, changed, current, time, withShape, show, onScrub }: RowProps) {
  const catalogue = useCatalogue()
  const { timeMs, depthM, stream, wanted, take, windOverTide } = row
  return (
    <tr
      data-time={timeMs}
      className={`border-t border-rule ${current ? 'bg-well' : ''}`}
      aria-current={current ? 'time' : undefined}
    >
      <th scope="row" className="pr-2 text-left font-normal">
        <button
          type="button"
          onClick={() => onScrub(timeMs)}
          className="min-h-7 rounded-sm px-1 underline decoration-dotted underline-offset-2"
        >
          {time}
        </button>
      </th>
      <td className="pr-2 text-right max-sm:hidden">{show.depth(depthM)}</td>
      <td className="pr-2 text-right">
        {show.computed('speed', stream.rateMperS)}{' '}
        <span className="inline-block w-9 text-left text-quiet">
          {stream.directionDeg === null ? '' : compassPoint(stream.directionDeg)}
        </span>
      </td>
      {'wantedKg' in wanted ? (
        <>
          <td className="pr-2 text-right text-quiet max-sm:hidden">{show.computed('mass', wanted.neededKg)}</td>
          <td className="pr-2 text-right">{show.computed('mass', wanted.wantedKg)}</td>
        </>
      ) : (
        <td colSpan={2} className="max-w-52 pr-2 text-right whitespace-normal text-watch">
          {wanted.trouble}
        </td>
      )}
      <td className={`pl-3 ${changed ? 'font-bold' : ''} ${take ? '' : 'text-fails'}`}>
        {changed && <span aria-hidden="true">▸ </span>}
        {take ? sinkerWords(catalogue, take, show, withShape) : 'none in the box'}
        {windOverTide && <span className="ml-1.5 text-watch">wind against current</span>}
      </td>
    </tr>
  )
}
