import { Link } from 'react-router'
import { learnShare } from '../../../core/statistics/rates.ts'
import { HOLD_EVENTS, TripLinks } from '../../lessons/TripLinks.tsx'
import type { KnownLessons } from '../../lessons/useLessons.ts'
import { useNames } from '../../lessons/useNames.ts'
import { usePriors } from '../../lessons/usePriors.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Sheet } from '../../ui/controls.tsx'
import { planAddress } from '../../words/addresses.ts'
import { oddsWords } from '../../words/lessonWords.ts'
import { LessonRow } from './LessonRow.tsx'

/** Where sinkers held as predicted, and where they did not. */
export function HoldingPage({ known: { lessons, sums } }: { known: KnownLessons }) {
  const nameOf = useNames()
  const show = useShow()
  const { share } = usePriors()
  return (
    <Sheet title="Held and dragged, by mark">
      <p className="text-sm text-quiet">
        The share of sinkers that held when someone looked, with its 90 % range. The tick is the prediction. Each “held” and
        “dragged” also corrects the mark and its plan.
      </p>
      {lessons.holding.length === 0 && <p className="mt-2">Nobody logged “held” or “dragged” yet.</p>}
      <ul className="mt-1">
        {lessons.holding.map(({ value, of, happened, expected, atMost, standsOut, trips }) => (
          <LessonRow
            key={value}
            name={nameOf('mark', value)}
            interval={learnShare({ priorYes: share.yes, priorNo: share.no, yes: happened, no: of - happened })}
            most={1}
            expected={expected / of}
            isStrong={standsOut}
            figure={`${happened} of ${of}, ${show.number(expected, 1)} predicted`}
            aside={happened < expected && <span>by chance alone, so few or fewer: {oddsWords(atMost)}</span>}
          >
            <Link to={planAddress(undefined, value)} className="text-tide underline">
              Its sinkers now
            </Link>
            <TripLinks trips={sums.trips} at={trips} only={HOLD_EVENTS} />
          </LessonRow>
        ))}
      </ul>
    </Sheet>
  )
}
