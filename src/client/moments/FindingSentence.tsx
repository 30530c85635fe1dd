import type { Finding, Severity } from '../../core/advice/finding.ts'
import { Glossed } from '../fishing/Glossed.tsx'
import { useShow } from '../settings/preferences.tsx'
import { phraseWords } from '../words/findingWords.ts'

const SEVERITY: Record<Severity, { word: string; tone: string }> = {
  fault: { word: 'fix', tone: 'text-fails' },
  caution: { word: 'watch', tone: 'text-watch' },
  note: { word: 'note', tone: 'text-quiet' },
}

/** A finding in a sentence, with how severe it is. */
export function FindingSentence({ finding }: { finding: Finding }) {
  const show = useShow()
  const { word, tone } = SEVERITY[finding.severity]
  return (
    <p>
      <strong className={`mr-1.5 ${tone}`}>{word}</strong>
      <Glossed>{phraseWords(finding.why, show)}</Glossed>
    </p>
  )
}
