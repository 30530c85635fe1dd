import { Download } from 'lucide-react'
import type { Mark } from '../../../core/documents/mark.ts'
import { QUANTITIES } from '../../../core/units/quantities.ts'
import { usePreferences, useShow } from '../../settings/preferences.tsx'
import { Button } from '../../ui/controls.tsx'
import { download, fileName } from '../../ui/download.ts'
import { type ReadText, useDraftText } from '../../ui/useDraftText.ts'
import { ChooseTable } from './ChooseTable.tsx'

type Row = Mark['stream'][number]
type Column = {
  field: 'springMperS' | 'neapMperS' | 'directionDeg'
  title: string
  most: number
  factor: number
  decimals: number
}

/** The stream by hour from high water: rates at springs and neaps, and where it sets. */
export function StreamTable({ stream, name, onChange }: { stream: Row[]; name: string; onChange: (stream: Row[]) => void }) {
  const { units } = usePreferences()
  const unit = units.speed as keyof typeof QUANTITIES.speed.units
  const factor = QUANTITIES.speed.units[unit]
  const columns: Column[] = [
    { field: 'springMperS', title: `springs, ${unit}`, most: 10, factor, decimals: 2 },
    { field: 'neapMperS', title: `neaps, ${unit}`, most: 10, factor, decimals: 2 },
    { field: 'directionDeg', title: 'flows to, °', most: 360, factor: 1, decimals: 0 },
  ]
  const saveTable = async () => {
    const { writeStreamCsv } = await import('../../../files/streamCsv.ts')
    download(fileName(`${name} stream`, 'csv'), 'text/csv', writeStreamCsv(stream))
  }
  return (
    <>
      <table className="w-full text-sm">
        <thead className="text-quiet">
          <tr>
            <th scope="col" className="text-left font-normal">
              hour
            </th>
            {columns.map(({ field, title }) => (
              <th key={field} scope="col" className="pl-2 text-left font-normal">
                {title}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {stream.map((row) => (
            <tr key={row.hour}>
              <th scope="row" className="pr-2 text-left font-normal whitespace-nowrap">
                {hourWords(row.hour)}
              </th>
              {columns.map((column) => (
                <td key={column.field} className="py-0.5 pl-2">
                  <Cell
                    name={`${column.title} ${hourWords(row.hour)}`}
                    value={row[column.field]}
                    column={column}
                    onChange={(value) =>
                      onChange(stream.map((each) => (each === row ? { ...row, [column.field]: value } : each)))
                    }
                  />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <div className="mt-3 grid gap-2">
        <ChooseTable
          label="from a file"
          hint="CSV with the columns hour, spring_kn, neap_kn, direction_deg"
          format="stream"
          readWith={{}}
          onRead={onChange}
        />
        <Button className="justify-self-end" onClick={saveTable}>
          <Download className="size-4" aria-hidden="true" /> Current table as CSV
        </Button>
      </div>
    </>
  )
}

function hourWords(hour: number): string {
  if (hour === 0) return 'high water'
  return `${Math.abs(hour)} h ${hour < 0 ? 'before' : 'after'}`
}

type CellProps = { name: string; value: number; column: Column; onChange: (value: number) => void }

/** A number of the table. */
function Cell({ name, value, column: { most, factor, decimals }, onChange }: CellProps) {
  const show = useShow()
  const read = (text: string): ReadText<number> => {
    const number = text.trim() === '' ? Number.NaN : Number(text.replace(',', '.')) * factor
    return number >= 0 && number <= most
      ? { ok: true, value: number }
      : { ok: false, message: `From 0 to ${Math.floor(most / factor)}.` }
  }
  const { text, fault, type, leave, restore } = useDraftText({
    shown: show.plain(Number((value / factor).toFixed(decimals))),
    value,
    read,
    commit: onChange,
  })
  return (
    <input
      aria-label={name}
      className="w-full min-w-0 rounded-md border border-rule bg-well px-2 py-1 aria-invalid:border-fails aria-invalid:border-2"
      inputMode="decimal"
      autoComplete="off"
      value={text}
      aria-invalid={fault ? true : undefined}
      title={fault}
      onChange={(event) => type(event.target.value)}
      onBlur={leave}
      onKeyDown={(event) => event.key === 'Escape' && restore()}
    />
  )
}
