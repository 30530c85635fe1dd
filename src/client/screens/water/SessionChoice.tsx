import type { Plan, Way } from '../../../core/plan/planDay.ts'
import { WAYS } from '../../../core/plan/planDay.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Select } from '../../ui/controls.tsx'

/** The hours fished, counted from the day’s midnight. */
export type Hours = { from: number; to: number }

const WAY_WORDS: Record<Way, string> = { fewest: 'fewest changes', lightest: 'lightest that holds' }

type Props = {
  way: Way
  onWay: (way: Way) => void
  hours: Hours
  onHours: (hours: Hours) => void
  /** Changes that each way asks for, once worked out. */
  counts: Plan['counts'] | undefined
}

/** Which hours are fished, and whether few changes or little lead is wanted, each with how many changes it asks for. */
export function SessionChoice({ way, onWay, hours, onHours, counts }: Props) {
  const show = useShow()
  const choices = (from: number, to: number) =>
    Array.from({ length: to - from + 1 }, (_, i) => ({ value: `${from + i}`, text: show.hour(from + i) }))
  return (
    <fieldset className="no-print mb-2 flex flex-wrap items-center gap-x-4 gap-y-1 text-sm">
      <legend className="sr-only">The session</legend>
      <span className="flex w-full items-center gap-1.5">
        <label htmlFor="fished-from" className="whitespace-nowrap">
          fished from
        </label>
        <span className="w-24">
          <Select
            id="fished-from"
            value={`${hours.from}`}
            onChoose={(next) => onHours({ ...hours, from: Number(next) })}
            choices={choices(0, hours.to - 1)}
          />
        </span>
        <label htmlFor="fished-to">to</label>
        <span className="w-24">
          <Select
            id="fished-to"
            value={`${hours.to}`}
            onChoose={(next) => onHours({ ...hours, to: Number(next) })}
            choices={choices(hours.from + 1, 24)}
          />
        </span>
      </span>
      {WAYS.map((each) => (
        <label key={each} className="flex min-h-8 items-center gap-1.5">
          <input type="radio" name="way" className="size-4.5" checked={way === each} onChange={() => onWay(each)} />
          {WAY_WORDS[each]}
          {counts && <span className="text-quiet">{counts[each] === 1 ? '1 change' : `${counts[each]} changes`}</span>}
        </label>
      ))}
    </fieldset>
  )
}
