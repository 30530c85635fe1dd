import type { Mark } from '../../../core/documents/mark.ts'
import { dateIn } from '../../../core/time/localDay.ts'
import { Button } from '../../ui/controls.tsx'
import { ChooseTable } from './ChooseTable.tsx'

type Props = { mark: Mark; onChange: (heights: NonNullable<Mark['heights']>) => void }

/** High and low waters from a printed table, in place of the port's prediction where they reach. */
export function HeightTable({ mark: { heights = [], timeZone }, onChange }: Props) {
  const [first, last] = [heights[0], heights.at(-1)]
  const day = (at: string) => dateIn(timeZone, Date.parse(at))
  return (
    <>
      {first && last && (
        <p className="flex flex-wrap items-center gap-2 text-sm">
          <span className="mr-auto">
            Your table of {heights.length} high and low waters is used from {day(first.at)} to {day(last.at)}.
          </span>
          <Button onClick={() => onChange([])}>Remove</Button>
        </p>
      )}
      <ChooseTable
        label="tide table"
        hint="CSV of high and low waters: date, time, height_m. Replaces the prediction on its days."
        format="heights"
        readWith={{ timeZone }}
        onRead={onChange}
      />
    </>
  )
}
