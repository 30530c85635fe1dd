import { useState } from 'react'
import { leaderOnTrace } from '../../../core/advice/leaderOnTrace.ts'
import type { RuleSet } from '../../../core/documents/ruleSet.ts'
import type { Judgement } from '../../../core/moments/judge.ts'
import { purposeOf } from '../../../core/purpose/purpose.ts'
import { useShow } from '../../settings/preferences.tsx'
import { LeaderReasons } from '../../ui/LeaderReasons.tsx'

/** Why a leader is as it should be, asked for: what would be advised here, and what speaks about it. */
export function WhyThisLeader(props: { judgement: Judgement; ruleSet: RuleSet | undefined }) {
  const [open, setOpen] = useState(false)
  return (
    <details onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="cursor-pointer py-1 text-quiet">why this leader?</summary>
      {open && <Advice {...props} />}
    </details>
  )
}

function Advice({ judgement, ruleSet }: { judgement: Judgement; ruleSet: RuleSet | undefined }) {
  const show = useShow()
  const advice = leaderOnTrace(judgement, ruleSet)
  return (
    <div className="grid gap-2">
      <p>
        Advised here: <strong>{show.entered('strength', advice.labelN)}</strong>, {show.computed('length', advice.lengthM)} from
        the main line to the hook.
      </p>
      <LeaderReasons advice={advice} purpose={purposeOf(judgement.setup, ruleSet)} />
    </div>
  )
}
