import { ChevronLeft, ChevronRight } from 'lucide-react'
import { Link } from 'react-router'
import { dateIn, dayAfter } from '../../../core/time/localDay.ts'
import { FIRST_YEAR, LAST_YEAR } from '../../../core/time/years.ts'
import type { SavedMark, SavedTraceHead } from '../../api/documents.ts'
import { Button, buttonClass, fieldClass, namesOf, Select } from '../../ui/controls.tsx'
import { sheetAddress } from '../../words/addresses.ts'
import type { useWaterChoice } from './useWaterChoice.ts'

type Props = {
  marks: readonly SavedMark[]
  mark: SavedMark
  traces: readonly SavedTraceHead[]
  trace: SavedTraceHead | undefined
  date: string
  choice: ReturnType<typeof useWaterChoice>
}

/** Which mark, which day, which trace. */
export function WaterBar({ marks, mark, traces, trace, date, choice }: Props) {
  const isDay = /^\d{4}-\d{2}-\d{2}$/.test(date)
  const today = dateIn(mark.content.timeZone, Date.now())
  const step = (days: number) => choice.set('day', dayAfter(isDay ? date : today, days))
  return (
    <div className="grid items-end gap-x-4 gap-y-2 max-sm:grid-cols-[minmax(0,1fr)_minmax(0,1fr)] sm:flex sm:flex-wrap">
      <h1 className="mr-1 text-xl font-bold">
        Water
        <span className="hidden print:inline">
          : {mark.content.name}, {date}, {trace?.content.name}
        </span>
      </h1>
      <div className="no-print grid gap-0.5 text-sm text-quiet max-sm:order-2">
        <label htmlFor="water-mark">mark</label>
        <Select id="water-mark" value={mark.id} onChoose={(next) => choice.set('mark', next)} choices={namesOf(marks)} />
      </div>
      <div className="no-print grid gap-0.5 text-sm text-quiet max-sm:order-4 max-sm:col-span-2">
        <label htmlFor="water-day">day</label>
        <div className="flex flex-wrap gap-1 text-base text-ink">
          <Button aria-label="the day before" title="the day before" onClick={() => step(-1)}>
            <ChevronLeft className="size-4" aria-hidden="true" />
          </Button>
          <input
            id="water-day"
            type="date"
            className={`${fieldClass} w-auto! min-w-0 flex-1 basis-32`}
            value={isDay ? date : ''}
            min={`${FIRST_YEAR}-01-01`}
            max={`${LAST_YEAR}-12-31`}
            onChange={(event) => event.target.value && choice.set('day', event.target.value)}
          />
          <Button aria-label="the day after" title="the day after" onClick={() => step(1)}>
            <ChevronRight className="size-4" aria-hidden="true" />
          </Button>
          {date !== today && (
            <Button tone="quiet" onClick={() => choice.set('day', today)}>
              Today
            </Button>
          )}
        </div>
      </div>
      <div className="no-print grid grow gap-0.5 text-sm text-quiet max-sm:order-3 sm:max-w-80">
        <label htmlFor="water-trace">trace</label>
        <Select
          id="water-trace"
          value={trace?.id ?? ''}
          onChoose={(next) => choice.set('trace', next)}
          choices={namesOf(traces)}
        />
      </div>
      <span className="no-print ml-auto flex flex-wrap justify-end gap-1.5 max-sm:order-1">
        {trace && (
          <Link to={sheetAddress(trace.id, { mark: mark.id, day: isDay ? date : undefined })} className={buttonClass('quiet')}>
            Build sheet
          </Link>
        )}
        <Link to="/water/marks" className={buttonClass('quiet')}>
          Marks
        </Link>
      </span>
    </div>
  )
}
