import { useState } from 'react'
import type { Mark } from '../../../core/documents/mark.ts'
import { clockIn, dateIn } from '../../../core/time/localDay.ts'
import { QUANTITIES } from '../../../core/units/quantities.ts'
import { usePreferences, useShow } from '../../settings/preferences.tsx'
import { type Show, tideUnit } from '../../settings/show.ts'
import { Field, fieldClass } from '../../ui/controls.tsx'
import { readTides, type TypedTide } from './readTides.ts'

const ROWS = 4
const ORDINALS = ['first', 'second', 'third', 'fourth']

type Heights = NonNullable<Mark['heights']>
type Props = { mark: Mark; onChange: (heights: Heights) => void }

/** The high and low waters of one day, typed from a printed table; Enter goes on to the next field. */
export function TypedTides({ mark, onChange }: Props) {
  const { timeZone, heights = [] } = mark
  const { units } = usePreferences()
  const show = useShow()
  const unit = tideUnit(units)
  const unitM = QUANTITIES.length.units[unit]
  const [date, setDate] = useState(() => dateIn(timeZone, heights[0] ? Date.parse(heights[0].at) : Date.now()))
  const [rows, setRows] = useState(() => rowsOf(heights, date, timeZone, unitM, show))
  const read = readTides(rows, { date, timeZone, unitM, heights })
  const isAtFault = (i: number) => (read.ok ? read.half === i : read.row === undefined || read.row === i)
  const days = new Set(heights.map(({ at }) => dateIn(timeZone, Date.parse(at)))).size
  const change = (next: TypedTide[]) => {
    setRows(next)
    const now = readTides(next, { date, timeZone, unitM, heights })
    if (now.ok) onChange(now.heights)
  }
  const goOn = (event: React.KeyboardEvent<HTMLFieldSetElement>) => {
    if (event.key !== 'Enter') return
    event.preventDefault()
    const fields = [...event.currentTarget.querySelectorAll<HTMLInputElement>('input[inputmode]')]
    fields[fields.indexOf(event.target as HTMLInputElement) + 1]?.focus()
  }
  return (
    <fieldset className="grid gap-2" onKeyDown={goOn}>
      <legend className="sr-only">High and low waters of a day</legend>
      <Field label="day" htmlFor="tides-day">
        <input
          id="tides-day"
          type="date"
          className={fieldClass}
          value={date}
          onChange={({ target }) => {
            if (!target.value) return
            setDate(target.value)
            setRows(rowsOf(heights, target.value, timeZone, unitM, show))
          }}
        />
      </Field>
      <div className="grid grid-cols-[5rem_minmax(0,1fr)_minmax(0,1fr)] items-center gap-x-2 gap-y-1">
        <span />
        <span className="text-sm text-quiet">time</span>
        <span className="text-sm text-quiet">height, {unit}</span>
        {rows.map((row, i) => (
          <TideRow
            key={i}
            isAtFault={isAtFault(i)}
            name={ORDINALS[i]!}
            row={row}
            onChange={(next) => change(rows.map((each, k) => (k === i ? next : each)))}
          />
        ))}
      </div>
      {read.ok ? (
        <p role="status" className="text-sm text-quiet">
          {read.half !== undefined
            ? `Complete the ${ORDINALS[read.half]} tide, or clear it.`
            : days === 0
              ? 'Type at least two tides of the day.'
              : `${days === 1 ? '1 day' : `${days} days`} typed. The tides before the first and after the last are assumed.`}
        </p>
      ) : (
        <p role="alert" className="text-sm text-fails">
          {read.fault}
        </p>
      )}
    </fieldset>
  )
}

type RowProps = { name: string; row: TypedTide; isAtFault: boolean; onChange: (row: TypedTide) => void }

function TideRow({ name, row, isAtFault, onChange }: RowProps) {
  /** A form with an invalid field is not saved. */
  const invalid = (text: string) => (isAtFault && (text.trim() !== '' || row.time !== row.height) ? true : undefined)
  return (
    <>
      <span className="text-sm">{name}</span>
      <input
        aria-label={`${name} time`}
        className={fieldClass}
        inputMode="numeric"
        placeholder="06:40"
        autoComplete="off"
        value={row.time}
        aria-invalid={invalid(row.time)}
        onChange={({ target }) => onChange({ ...row, time: target.value })}
      />
      <input
        aria-label={`${name} height`}
        className={fieldClass}
        inputMode="decimal"
        autoComplete="off"
        value={row.height}
        aria-invalid={invalid(row.height)}
        onChange={({ target }) => onChange({ ...row, height: target.value })}
      />
    </>
  )
}

/** What is known of a day, as it was typed, with empty rows after it. */
function rowsOf(heights: Heights, date: string, timeZone: string, unitM: number, show: Show): TypedTide[] {
  const known = heights
    .filter(({ at }) => dateIn(timeZone, Date.parse(at)) === date)
    .map(({ at, heightM }) => ({
      time: clockIn(timeZone, Date.parse(at)),
      height: show.plain(Number((heightM / unitM).toFixed(2))),
    }))
  return [...known, ...Array.from({ length: Math.max(0, ROWS - known.length) }, () => ({ time: '', height: '' }))].slice(0, ROWS)
}
