import { changeAt, type Plan } from '../../../core/plan/planDay.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { useShow } from '../../settings/preferences.tsx'
import { sinkerWords } from '../../words/waterWords.ts'

type Props = { plan: Plan | undefined; withShape: boolean; atMs: number; clock: (timeMs: number) => string }

/** The answer, before the chart that explains it: the sinker to fish at a time, and the next change. */
export function FishAt({ plan, withShape, atMs, clock }: Props) {
  const show = useShow()
  const catalogue = useCatalogue()
  const words = (sinker: Plan['changes'][number]['to']) =>
    sinker ? sinkerWords(catalogue, sinker, show, withShape) : 'no sinker in the box holds'
  const on = plan && changeAt(plan.changes, atMs)
  const next = plan?.changes.find(({ timeMs }) => timeMs > atMs)
  const hasHours = plan !== undefined && plan.rows.length > 0
  return (
    <p className="flex min-h-9 flex-wrap items-baseline gap-x-3">
      <span className="text-quiet">{clock(atMs)}</span>
      <strong className={`text-lg ${on && !on.to ? 'text-fails' : ''}`}>
        {on ? words(on.to) : hasHours ? 'not fished at this time' : 'Calculating …'}
      </strong>
      {hasHours && (
        <span>
          {next ? `Next change ${clock(next.timeMs)}: ${next.to ? `to ${words(next.to)}` : words(next.to)}` : 'No later change'}
        </span>
      )}
    </p>
  )
}
