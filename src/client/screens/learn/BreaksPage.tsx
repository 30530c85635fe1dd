import { Link } from 'react-router'
import { isKnot } from '../../../core/knots/choose.ts'
import { kindOfKey } from '../../../core/lessons/linkKinds.ts'
import { learnShare } from '../../../core/statistics/rates.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { BREAK_EVENTS, TripLinks } from '../../lessons/TripLinks.tsx'
import { testAddress } from '../../lessons/testAddress.ts'
import type { KnownLessons } from '../../lessons/useLessons.ts'
import { usePriors } from '../../lessons/usePriors.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Sheet } from '../../ui/controls.tsx'
import { linkKindName, oddsWords } from '../../words/lessonWords.ts'
import { KnotsInField } from './KnotsInField.tsx'
import { LessonRow } from './LessonRow.tsx'

/** Compares the links that broke first with the predictions, and shows what follows for the knots. */
export function BreaksPage({ known: { lessons, sums } }: { known: KnownLessons }) {
  const catalogue = useCatalogue()
  const show = useShow()
  const { share } = usePriors()
  const { unseen, notPredicted } = sums
  return (
    <>
      <Sheet title="What broke first">
        <p className="text-sm text-quiet">
          Of each knot and line: the share of breaks under a fish in which it broke first, with its 90 % range. The tick is the
          prediction. Red: chance alone would rarely do this in any of the {lessons.breaks.length} rows.
        </p>
        {lessons.breaks.length === 0 && <p className="mt-2">No break with a prediction yet.</p>}
        <ul className="mt-1">
          {lessons.breaks.map((lesson) => {
            const { value, of, happened, expected, atLeast, standsOut, trips } = lesson
            const kind = kindOfKey(value)
            return (
              <LessonRow
                key={value}
                name={{ text: linkKindName(catalogue, value), isTyped: false }}
                interval={learnShare({ priorYes: share.yes, priorNo: share.no, yes: happened, no: of - happened })}
                most={1}
                expected={expected / of}
                isStrong={standsOut}
                figure={`${happened} of ${of}, ${show.number(expected, 1)} predicted`}
                aside={happened > expected && <span>by chance alone, so many or more: {oddsWords(atLeast)}</span>}
              >
                {standsOut && kind.of === 'knot' && isKnot(kind.connection) && (
                  <Link to={testAddress(kind)} className="text-tide underline">
                    Pull-test it
                  </Link>
                )}
                <TripLinks trips={sums.trips} at={trips} only={BREAK_EVENTS} />
              </LessonRow>
            )
          })}
        </ul>
        <NotCounted unseen={unseen} notPredicted={notPredicted} />
      </Sheet>
      <KnotsInField />
    </>
  )
}

/** Breaks that no prediction can be checked by. */
function NotCounted({ unseen, notPredicted }: { unseen: number; notPredicted: number }) {
  const breaks = (count: number) => (count === 1 ? 'one break' : `${count} breaks`)
  const parts = [
    ...(unseen > 0 ? [`${breaks(unseen)} that nobody saw`] : []),
    ...(notPredicted > 0 ? [`${breaks(notPredicted)} without a prediction, in a snag or a cast`] : []),
  ]
  return parts.length > 0 && <p className="mt-2 text-sm text-quiet">Not counted: {parts.join(', ')}.</p>
}
