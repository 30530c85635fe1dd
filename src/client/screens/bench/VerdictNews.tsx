import { useEffect, useRef, useState } from 'react'
import type { Evaluation } from '../../../core/analysis/evaluate.ts'
import { resultsOf } from '../../../core/moments/judge.ts'
import { useDebouncedValue } from '../../ui/useDebouncedValue.ts'
import { type Verdicts, verdictChanges } from '../../words/verdictChanges.ts'

/** A step that is held is read out once it ends, not at every value. */
const REST_MS = 700

/** Says changes of the verdicts to those who do not see them. */
export function VerdictNews({ evaluation }: { evaluation: Evaluation }) {
  const settled = useDebouncedValue(evaluation, REST_MS, evaluation)
  const before = useRef<Verdicts>(undefined)
  const [news, setNews] = useState('')
  useEffect(() => {
    const now: Verdicts = Object.fromEntries(resultsOf(settled).map(({ moment, verdict }) => [moment, verdict]))
    if (before.current) {
      const words = verdictChanges(before.current, now)
      if (words) setNews(words)
    }
    before.current = now
  }, [settled])
  return (
    <p role="status" className="sr-only" data-verdict-news>
      {news}
    </p>
  )
}
