import { useMemo, useState } from 'react'
import type { Finding, Severity } from '../../../core/advice/finding.ts'
import { type Content, type Mending, mendingsOf } from '../../../core/advice/mend.ts'
import { takenUp } from '../../../core/advice/setAside.ts'
import type { Evaluation } from '../../../core/moments/evaluate.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Button, Sheet } from '../../ui/controls.tsx'
import { useSettled } from '../../ui/useSettled.ts'
import { phraseWords } from '../../words/findingWords.ts'
import { MOMENT_NAMES } from '../../words/verdictWords.ts'
import { SetAsidePanel } from './SetAsidePanel.tsx'
import type { Bench } from './useBench.ts'

const SHOWN_FIRST = 3
/** Remedies are tried whole, on the trace: not while someone is still typing. */
const REST_MS = 150

const SEVERITY: Record<Severity, { word: string; tone: string }> = {
  fault: { word: 'mend', tone: 'text-fails' },
  caution: { word: 'watch', tone: 'text-watch' },
  note: { word: 'note', tone: 'text-quiet' },
}

type Props = { bench: Bench; content: Content; evaluation: Evaluation }

/** What is wrong, the three worst first, each with the step that mends it and what that step would cost elsewhere. */
export function FindingsPanel({ bench, content, evaluation }: Props) {
  const [all, setAll] = useState(false)
  const open = evaluation.findings.filter(({ aside }) => aside === undefined)
  const aside = evaluation.findings.filter((finding) => finding.aside !== undefined)
  const shown = all ? open : open.slice(0, SHOWN_FIRST)
  if (evaluation.findings.length === 0) return null
  return (
    <Sheet
      title="Findings"
      aside={
        (open.length > SHOWN_FIRST || aside.length > 0) && (
          <Button tone="quiet" className="min-h-7! text-sm" onClick={() => setAll(!all)} aria-expanded={all}>
            {all ? 'The worst only' : `All ${open.length}${aside.length > 0 ? `, and ${aside.length} set aside` : ''}`}
          </Button>
        )
      }
    >
      {open.length === 0 && <p className="text-quiet">Nothing but what was set aside.</p>}
      <ul className="grid gap-x-6 gap-y-3 lg:grid-cols-3">
        {shown.map((finding) => (
          <FindingRow key={finding.id} finding={finding} bench={bench} content={content} evaluation={evaluation} />
        ))}
      </ul>
      {all && aside.length > 0 && (
        <ul className="mt-3 grid gap-1 border-t border-rule pt-2 text-sm">
          {aside.map((finding) => (
            <AsideRow key={finding.id} finding={finding} bench={bench} />
          ))}
        </ul>
      )}
    </Sheet>
  )
}

/** The findings to read, where nothing is changed. */
export function FindingsList({ findings }: { findings: readonly Finding[] }) {
  const open = findings.filter(({ aside }) => aside === undefined)
  if (open.length === 0) return null
  return (
    <Sheet title="Findings">
      <ul className="grid gap-2">
        {open.map((finding) => (
          <li key={finding.id}>
            <Sentence finding={finding} />
          </li>
        ))}
      </ul>
    </Sheet>
  )
}

function Sentence({ finding }: { finding: Finding }) {
  const show = useShow()
  const { word, tone } = SEVERITY[finding.severity]
  return (
    <p>
      <strong className={`mr-1.5 ${tone}`}>{word}</strong>
      {phraseWords(finding.why, show)}
    </p>
  )
}

function FindingRow({ finding, bench, content, evaluation }: Props & { finding: Finding }) {
  const judged = useSettled(
    useMemo(() => ({ finding, content, evaluation }), [finding, content, evaluation]),
    REST_MS,
  )
  const mendings = useMemo(() => mendingsOf(judged.finding, judged.content, judged.evaluation), [judged])
  const current = judged.finding === finding
  return (
    <li className="grid content-start gap-1.5" data-finding={finding.rule}>
      <Sentence finding={finding} />
      <div className="flex flex-wrap gap-1.5">
        {mendings.slice(0, 2).map((mending) => (
          <Button
            key={mending.label}
            className="h-auto! text-left text-sm whitespace-normal!"
            disabled={!current}
            onClick={() => bench.mend({ trace: mending.trace, conditions: mending.conditions })}
          >
            <span>
              {mending.label.charAt(0).toUpperCase() + mending.label.slice(1)}
              <Costs mending={mending} />
            </span>
          </Button>
        ))}
        <SetAsidePanel finding={finding} bench={bench} />
      </div>
    </li>
  )
}

/** What a remedy lowers or brings, said before it is applied. */
function Costs({ mending }: { mending: Mending }) {
  const show = useShow()
  const brought = mending.brings.filter(({ severity }) => severity !== 'note')
  if (mending.lowers.length === 0 && brought.length === 0) return null
  return (
    <span className="block text-quiet">
      {mending.lowers.map(({ moment, from, to }) => `${MOMENT_NAMES[moment]} goes from ${from} to ${to}. `)}
      {brought.map(({ why }) => `Then: ${phraseWords(why, show)} `)}
    </span>
  )
}

function AsideRow({ finding, bench }: { finding: Finding; bench: Bench }) {
  const show = useShow()
  return (
    <li className="flex flex-wrap items-baseline gap-x-3">
      <span>{phraseWords(finding.why, show)}</span>
      <span className="text-quiet">Set aside: {finding.aside}</span>
      <Button tone="quiet" className="min-h-7! text-sm" onClick={() => bench.editTrace((old) => takenUp(old, finding.id))}>
        Take up again
      </Button>
    </li>
  )
}
