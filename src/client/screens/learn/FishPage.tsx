import type { Dimension } from '../../../core/lessons/counts.ts'
import { CATCH_DIMENSIONS, type Catch, hoursToSettleFirst, type Rated } from '../../../core/lessons/lessons.ts'
import type { KnownLessons } from '../../lessons/useLessons.ts'
import { useNames } from '../../lessons/useNames.ts'
import { usePriors } from '../../lessons/usePriors.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Sheet } from '../../ui/controls.tsx'
import { CATCH_WORDS } from '../../words/lessonWords.ts'
import { LessonRow } from './LessonRow.tsx'
import { RatedSheet } from './RatedSheet.tsx'

/** Bites and fish by tide, light, bait, hook and trace, and the share hooked deep. */
export function FishPage({ known: { lessons, sums } }: { known: KnownLessons }) {
  return (
    <>
      <RatedSheet
        rated={lessons.fish}
        words={CATCH_WORDS}
        dimensions={CATCH_DIMENSIONS}
        trips={sums.trips}
        note={(rated, by) => <Settling rated={rated} by={by} />}
      />
      <Hooked hooked={lessons.hooked} />
    </>
  )
}

/** How much longer to fish until the largest difference of a dimension is settled, if it is as it looks. */
function Settling({ rated, by }: { rated: Rated<Catch>; by: Dimension }) {
  const { fish } = usePriors()
  const show = useShow()
  const hours = hoursToSettleFirst(rated, by, fish)
  if (hours === 0 || hours === 'nothing') return null
  return (
    <p className="text-sm text-quiet">
      {hours === undefined
        ? 'These are too alike for more hours to settle it.'
        : `If it is as it looks, about ${show.number(hours, 0)} more hours would settle the largest difference.`}
    </p>
  )
}

function Hooked({ hooked }: { hooked: KnownLessons['lessons']['hooked'] }) {
  const nameOf = useNames()
  const show = useShow()
  if (hooked.length === 0) return null
  return (
    <Sheet title="Hooked deep">
      <p className="text-sm text-quiet">The share of fish that were hooked deep, by kind of hook, with its 90 % range.</p>
      <ul className="mt-1">
        {hooked.map(({ hook, lip, deep, foul, deepShare }) => (
          <LessonRow
            key={hook}
            name={nameOf('hook', hook)}
            interval={deepShare}
            most={1}
            figure={`${deep} of ${lip + deep + foul}: ${show.percent(deepShare.mean)} (${show.percent(deepShare.low)} to ${show.percent(deepShare.high)})`}
          />
        ))}
      </ul>
    </Sheet>
  )
}
