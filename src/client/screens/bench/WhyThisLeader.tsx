import { useDeferredValue, useMemo, useState } from 'react'
import { leaderOnTrace } from '../../../core/advice/leaderOnTrace.ts'
import type { RuleSet } from '../../../core/documents/ruleSet.ts'
import { judgePrepared } from '../../../core/moments/judge.ts'
import { purposeOf } from '../../../core/purpose/purpose.ts'
import type { PreparedSetup } from '../../../core/setup/prepareSetup.ts'
import { LeaderReasons } from '../../fishing/LeaderReasons.tsx'
import { useShow } from '../../settings/preferences.tsx'

type Props = { setup: PreparedSetup; ruleSet: RuleSet | undefined }

/** Why a leader is as it should be, asked for: what would be advised here, and what speaks about it. */
export function WhyThisLeader(props: Props) {
  const [open, setOpen] = useState(false)
  return (
    <details onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="cursor-pointer py-1 text-quiet">why this leader?</summary>
      {open && <Advice {...props} />}
    </details>
  )
}

function Advice({ setup, ruleSet }: Props) {
  const show = useShow()
  const later = useDeferredValue(setup)
  const advice = useMemo(() => leaderOnTrace(judgePrepared(later), ruleSet), [later, ruleSet])
  return (
    <div className="grid gap-2">
      <p>
        Recommended: <strong>{show.entered('strength', advice.labelN)}</strong>, {show.computed('length', advice.lengthM)} from
        the main line to the hook.
      </p>
      <LeaderReasons advice={advice} purpose={purposeOf(later, ruleSet)} />
    </div>
  )
}
