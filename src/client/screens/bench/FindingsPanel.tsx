import { memo, useMemo } from 'react'
import type { Finding } from '../../../core/advice/finding.ts'
import { takenUp } from '../../../core/advice/setAside.ts'
import { type TriedRemedy, tryRemediesInSteps } from '../../../core/advice/tryRemedies.ts'
import type { Evaluation } from '../../../core/analysis/evaluate.ts'
import type { RuleSet } from '../../../core/documents/ruleSet.ts'
import type { Steps } from '../../../core/math/steps.ts'
import { capital } from '../../../core/units/capital.ts'
import { useSteps } from '../../jobs/useSteps.ts'
import { FindingSentence } from '../../moments/FindingSentence.tsx'
import { spoken } from '../../regional/spoken.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Button, Sheet } from '../../ui/controls.tsx'
import { copyText } from '../../ui/copyText.ts'
import { useDebouncedValue } from '../../ui/useDebouncedValue.ts'
import { phraseWords } from '../../words/findingWords.ts'
import { momentName } from '../../words/momentNames.ts'
import { SetAsidePanel } from './SetAsidePanel.tsx'
import type { Bench } from './useBench.ts'

/** Remedies are tried whole, on the trace: not while someone is still typing. */
const REST_MS = 150

type Props = { bench: Bench; ruleSet: RuleSet | undefined; evaluation: Evaluation }

const MAX_REMEDIES = 2
const REMEDY_CLASS = 'h-auto! text-left text-sm whitespace-normal!'

const isOpen = ({ aside }: Finding) => aside === undefined

/** The worst of what is wrong, with the step that fixes it, and the way to the others. */
export const WorstFinding = memo(function WorstFinding({ bench, ruleSet, evaluation, onAll }: Props & { onAll: () => void }) {
  const open = evaluation.findings.filter(isOpen)
  const [worst] = open
  if (evaluation.findings.length === 0) return null
  return (
    <Sheet
      title="Worst finding"
      data-findings
      tabIndex={-1}
      aside={
        <Button tone="quiet" className="min-h-7! text-sm" onClick={onAll}>
          {open.length > 1 ? `All ${open.length} findings` : 'Findings'}
        </Button>
      }
    >
      {worst ? (
        <ul>
          <FindingRow key={worst.id} finding={worst} bench={bench} ruleSet={ruleSet} evaluation={evaluation} />
        </ul>
      ) : (
        <p className="text-quiet">Only ignored findings.</p>
      )}
    </Sheet>
  )
})

/** What is wrong, the worst first, each with the step that fixes it and what that step would cost elsewhere; and what was set aside. */
export function FindingsPanel({ bench, ruleSet, evaluation }: Props) {
  const open = evaluation.findings.filter(isOpen)
  const aside = evaluation.findings.filter((finding) => !isOpen(finding))
  return (
    <Sheet title="Findings" data-findings tabIndex={-1}>
      {open.length === 0 && <p className="text-quiet">{aside.length > 0 ? 'Only ignored findings.' : 'No findings.'}</p>}
      <ul className="grid gap-y-4">
        {open.map((finding) => (
          <FindingRow key={finding.id} finding={finding} bench={bench} ruleSet={ruleSet} evaluation={evaluation} />
        ))}
      </ul>
      {aside.length > 0 && (
        <ul className="mt-3 grid gap-1 border-t border-rule pt-2 text-sm">
          {aside.map((finding) => (
            <AsideRow key={finding.id} finding={finding} bench={bench} />
          ))}
        </ul>
      )}
    </Sheet>
  )
}

type Tried = { finding: Finding; remedies: TriedRemedy[] }

function* triedOn({ finding, ruleSet, evaluation }: Omit<Props, 'bench'> & { finding: Finding }): Steps<Tried> {
  const before = { judgement: evaluation, findings: evaluation.findings, ruleSet }
  return { finding, remedies: yield* tryRemediesInSteps(finding, before) }
}

function FindingRow({ finding, bench, ruleSet, evaluation }: Props & { finding: Finding }) {
  const show = useShow()
  const settled = useDebouncedValue(
    useMemo(() => ({ finding, ruleSet, evaluation }), [finding, ruleSet, evaluation]),
    REST_MS,
    // A finding that comes and goes while a value is stepped is not tried at all.
    undefined,
  )
  const begin = useMemo(() => settled && (() => triedOn(settled)), [settled])
  const tried = useSteps(begin)
  const remedies = tried?.remedies.slice(0, MAX_REMEDIES) ?? []
  const current = tried?.finding === finding
  const apply = ({ trace, conditions }: TriedRemedy, button: HTMLElement) => {
    // The row goes with its finding: the keyboard stays with the findings.
    button.closest<HTMLElement>('[data-findings]')?.focus()
    bench.apply({ trace, conditions })
  }
  return (
    <li className="grid content-start gap-1.5" data-finding={finding.rule}>
      <FindingSentence finding={finding} />
      <div className="flex flex-wrap gap-1.5">
        {remedies.map((remedy) => (
          <Button
            key={remedy.label}
            className={REMEDY_CLASS}
            disabled={!current}
            onClick={(event) => apply(remedy, event.currentTarget)}
          >
            <span>
              {capital(remedy.label)}
              <Costs remedy={remedy} />
            </span>
          </Button>
        ))}
        {!tried &&
          // Their room is kept while they are tried: a button beside them would move as it is pressed.
          finding.remedies.slice(0, MAX_REMEDIES).map(({ label }) => (
            <Button key={label} disabled className={`${REMEDY_CLASS} invisible`}>
              {capital(label)}
            </Button>
          ))}
        <SetAsidePanel finding={finding} bench={bench} />
        <Button
          tone="quiet"
          className="text-sm"
          onClick={() => copyText(`${bench.content.trace.name}: ${spoken(phraseWords(finding.why, show))}`)}
        >
          Copy
        </Button>
      </div>
    </li>
  )
}

/** What a remedy lowers or brings, said before it is applied. */
function Costs({ remedy }: { remedy: TriedRemedy }) {
  const show = useShow()
  const brought = remedy.brings.filter(({ severity }) => severity !== 'note')
  if (remedy.lowers.length === 0 && brought.length === 0) return null
  return (
    <span className="block text-quiet">
      {remedy.lowers.map(({ moment, from, to }) => `${momentName(moment)} goes from ${from} to ${to}. `)}
      {brought.map(({ why }) => `Then: ${phraseWords(why, show)} `)}
    </span>
  )
}

function AsideRow({ finding, bench }: { finding: Finding; bench: Bench }) {
  const show = useShow()
  return (
    <li className="flex flex-wrap items-baseline gap-x-3">
      <span>{phraseWords(finding.why, show)}</span>
      <span className="text-quiet">Ignored: {finding.aside}</span>
      <Button tone="quiet" className="min-h-7! text-sm" onClick={() => bench.editTrace((old) => takenUp(old, finding.id))}>
        Stop ignoring
      </Button>
    </li>
  )
}
