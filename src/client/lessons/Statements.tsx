import type { ReactNode } from 'react'
import { Link } from 'react-router'
import { isKnot } from '../../core/knots/choose.ts'
import { kindOfKey } from '../../core/lessons/linkKinds.ts'
import type { Statement } from '../../core/lessons/statements.ts'
import { useCatalogue } from '../catalogue/useCatalogue.ts'
import { useShow } from '../settings/preferences.tsx'
import { buttonClass } from '../ui/controls.tsx'
import { planAddress } from '../words/addresses.ts'
import { CATCH_WORDS, LOSS_WORDS, linkKindName, oddsWords } from '../words/lessonWords.ts'
import { BREAK_EVENTS, EVENTS_OF, HOLD_EVENTS, TripLinks } from './TripLinks.tsx'
import { testAddress } from './testAddress.ts'
import type { KnownLessons } from './useLessons.ts'
import { useNames } from './useNames.ts'

/** The largest surprises, each with its evidence and one thing to do. */
export function Statements({ known: { lessons, sums } }: { known: KnownLessons }) {
  if (lessons.statements.length === 0)
    return (
      <p>
        Nothing stands out so far. Predictions and results agree as well as {sums.trips.length}{' '}
        {sums.trips.length === 1 ? 'trip' : 'trips'} can show.
      </p>
    )
  return (
    <ol className="grid gap-2">
      {lessons.statements.map((statement) => (
        <li
          key={`${statement.kind} ${statement.lesson.value}`}
          className="grid gap-x-4 gap-y-1 rounded-lg border border-rule bg-sheet p-3 sm:grid-cols-[minmax(0,1fr)_auto] sm:items-center"
        >
          <div className="grid gap-0.5">
            <StatementWords statement={statement} />
            <TripLinks trips={sums.trips} at={statement.lesson.trips} only={eventsOf(statement)} />
          </div>
          <NextStep statement={statement} />
        </li>
      ))}
    </ol>
  )
}

/** A statement in words, with its evidence. */
export function StatementWords({ statement }: { statement: Statement }): ReactNode {
  const catalogue = useCatalogue()
  const nameOf = useNames()
  const show = useShow()
  const rate = (perHour: number) => show.number(perHour, 2)
  switch (statement.kind) {
    case 'breaksMore': {
      const { value, of, happened, expected, atLeast } = statement.lesson
      return (
        <>
          <p className="font-semibold first-letter:uppercase">
            {linkKindName(catalogue, value)} breaks more often than predicted
          </p>
          <p className="text-sm">
            It broke first in {happened} of the {of} breaks that were seen; {show.number(expected, 1)} were predicted. By chance
            alone: {oddsWords(atLeast)}.
          </p>
        </>
      )
    }
    case 'holdsLess': {
      const { value, of, happened, expected, atMost } = statement.lesson
      return (
        <>
          <p className="font-semibold">
            Sinkers hold less than predicted: <span translate="no">{nameOf('mark', value).text}</span>
          </p>
          <p className="text-sm">
            They held {happened} times of {of}; {show.number(expected, 1)} were predicted. By chance alone: {oddsWords(atMost)}.
          </p>
        </>
      )
    }
    case 'losesMore':
    case 'catchesMore': {
      const { lesson, others, event } = statement
      const { text, isTyped } = nameOf(lesson.by, lesson.value)
      return (
        <>
          <p className="font-semibold">
            {statement.kind === 'losesMore'
              ? `More ${LOSS_WORDS[statement.event]} than elsewhere: `
              : `More ${CATCH_WORDS[statement.event]} than otherwise: `}
            <span {...(isTyped ? { translate: 'no' } : {})}>{text}</span>
          </p>
          <p className="text-sm">
            {lesson.counts[event]} in {show.number(lesson.counts.hours, 0)} hours, {rate(lesson.perHour.mean)} an hour (
            {rate(lesson.perHour.low)} to {rate(lesson.perHour.high)});{' '}
            {statement.kind === 'losesMore' ? 'elsewhere' : 'otherwise'} {others.events} in {show.number(others.hours, 0)} hours.
          </p>
        </>
      )
    }
  }
}

/** The one thing that a statement leads to. */
function NextStep({ statement }: { statement: Statement }) {
  const to = stepOf(statement)
  return (
    <Link to={to.address} className={buttonClass('plain')}>
      {to.text}
    </Link>
  )
}

function stepOf(statement: Statement): { address: string; text: string } {
  switch (statement.kind) {
    case 'breaksMore': {
      const kind = kindOfKey(statement.lesson.value)
      if (kind.of === 'knot' && isKnot(kind.connection)) return { address: testAddress(kind), text: 'Pull-test it' }
      return { address: '/learn/breaks', text: 'See the breaks' }
    }
    case 'holdsLess':
      return { address: planAddress(undefined, statement.lesson.value), text: 'See its sinkers' }
    case 'losesMore':
      return { address: `/learn/weak-link?mark=${statement.lesson.value}`, text: 'Price the weak link' }
    case 'catchesMore':
      return { address: '/learn/fish', text: 'See the comparison' }
  }
}

const eventsOf = (statement: Statement) =>
  'event' in statement ? EVENTS_OF[statement.event] : statement.kind === 'holdsLess' ? HOLD_EVENTS : BREAK_EVENTS
