import { kindKey } from '../../../core/lessons/linkKinds.ts'
import { useCatalogue, useNominalCatalogue, useOwnFigures } from '../../catalogue/useCatalogue.ts'
import { JobProgress } from '../../jobs/JobProgress.tsx'
import { useFieldEfficiencies } from '../../lessons/useFieldEfficiencies.ts'
import { useShow } from '../../settings/preferences.tsx'
import { CheckField } from '../../ui/CheckField.tsx'
import { Sheet } from '../../ui/controls.tsx'
import { linkKindName } from '../../words/lessonWords.ts'
import { LessonRow } from './LessonRow.tsx'

/** What breaks on the water say of each knot’s strength, beside its pull tests; the crew decides whether it counts. */
export function KnotsInField() {
  const catalogue = useCatalogue()
  const nominal = useNominalCatalogue()
  const show = useShow()
  const { own, field, setField } = useOwnFigures()
  const job = useFieldEfficiencies(nominal)
  const known = (job.efficiencies ?? []).filter(({ chains }) => chains > 0)
  const range = ({ mean, low, high }: { mean: number; low: number; high: number }) =>
    `${show.percent(mean)} (${show.percent(low)} to ${show.percent(high)})`
  return (
    <Sheet title="What that says of your knots">
      <p className="text-sm text-quiet">
        A knot’s share of its line’s strength after the breaks on the water, with its 90 % range. The scale begins at 50 %. The
        tick is the value from pull tests alone. One knot at a time; every other link is taken as nominal.
      </p>
      {job.isRunning && known.length === 0 && <JobProgress share={job.share} onStop={job.stop} />}
      <ul className="mt-1">
        {known.map((each) => {
          const { connection, material, pulls, chains, wentFirst, tested, field: after } = each
          const key = kindKey({ of: 'knot', connection, material })
          return (
            <LessonRow
              key={key}
              name={{ text: linkKindName(catalogue, key), isTyped: false }}
              interval={after}
              least={0.5}
              most={1}
              expected={tested.mean}
              isStrong={after.high < tested.mean}
              figure={range(after)}
              aside={
                <span>
                  {pulls === 0 ? 'nominal' : pulls === 1 ? 'one test' : `${pulls} tests`}: {range(tested)}; {wentFirst} of{' '}
                  {chains} breaks
                </span>
              }
            />
          )
        })}
      </ul>
      {job.error && <p role="alert">{job.error.message}</p>}
      <div className="mt-2 border-t border-rule pt-2">
        <CheckField
          label="count breaks on the water in the figures of knots, for the whole crew"
          checked={field}
          onChange={setField}
        />
        {!own && (
          <p className="text-sm text-quiet">Your own measurements are turned off in this browser, so neither counts here.</p>
        )}
      </div>
    </Sheet>
  )
}
