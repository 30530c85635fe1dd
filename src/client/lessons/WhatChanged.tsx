import { useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import { Link } from 'react-router'
import type { Change } from '../../core/lessons/whatChanged.ts'
import { runLessons } from '../../workers/runLessons.ts'
import { sumsQuery, sumsWithoutQuery } from '../api/lessons.ts'
import { useCatalogue } from '../catalogue/useCatalogue.ts'
import { useJob } from '../jobs/useJob.ts'
import { useShow } from '../settings/preferences.tsx'
import { Sheet } from '../ui/controls.tsx'
import { LOSS_WORDS, linkKindName } from '../words/lessonWords.ts'
import { StatementWords } from './Statements.tsx'
import { useNames } from './useNames.ts'
import { usePriors } from './usePriors.ts'

type Props = { tripId: string; title: string; most: number }

/** The lessons that one trip changed, statements first. Shows nothing until they are calculated. */
export default function WhatChanged({ tripId, title, most }: Props) {
  const [before, after] = [useQuery(sumsWithoutQuery(tripId)).data, useQuery(sumsQuery).data]
  const priors = usePriors()
  const isCounted = after?.waiting === 0 && before?.waiting === 0 && after.trips.some(({ id }) => id === tripId)
  const input = useMemo(
    () => (isCounted && before && after ? { kind: 'changes' as const, before, after, priors } : undefined),
    [isCounted, before, after, priors],
  )
  const job = useJob({
    name: 'trip-changes',
    input,
    run: runLessons<'changes'>,
    keepsPrevious: true,
  })
  const changes = job.result?.changes
  if (!changes || changes.length === 0) return null
  return (
    <Sheet
      title={title}
      aside={
        <Link to="/learn" className="text-sm text-tide underline">
          All that was learned
        </Link>
      }
    >
      <ul className="grid gap-1">
        {changes.slice(0, most).map((change, i) => (
          <li key={i}>
            <ChangeWords change={change} />
          </li>
        ))}
      </ul>
    </Sheet>
  )
}

function ChangeWords({ change }: { change: Change }) {
  const catalogue = useCatalogue()
  const nameOf = useNames()
  const show = useShow()
  switch (change.kind) {
    case 'standsOut':
      return <StatementWords statement={change.statement} />
    case 'noLonger':
      return (
        <>
          <p className="text-sm text-quiet">This no longer stands out:</p>
          <StatementWords statement={change.statement} />
        </>
      )
    case 'breaks': {
      const { value, happened, of, expected } = change.after
      return (
        <p>
          <span className="inline-block first-letter:uppercase">{linkKindName(catalogue, value)}</span> broke first in {happened}{' '}
          of {of} breaks, {was(change.before)}; {show.number(expected, 1)} were predicted.
        </p>
      )
    }
    case 'holding': {
      const { value, happened, of, expected } = change.after
      return (
        <p>
          <Typed>{nameOf('mark', value).text}</Typed>: sinkers held {happened} times of {of}, {was(change.before)};{' '}
          {show.number(expected, 1)} were predicted.
        </p>
      )
    }
    case 'losses': {
      const { before, after, event } = change
      return (
        <p>
          <Typed>{nameOf('mark', after.value).text}</Typed>: {show.number(after.perHour.mean, 2)} {LOSS_WORDS[event]} an hour,{' '}
          {before ? `${show.number(before.perHour.mean, 2)} before` : 'for the first time'}.
        </p>
      )
    }
  }
}

const was = (before: { happened: number; of: number } | undefined) =>
  before ? `${before.happened} of ${before.of} before` : 'none before'

const Typed = ({ children }: { children: string }) => <span translate="no">{children}</span>
