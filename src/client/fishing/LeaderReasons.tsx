import { biteTracesFor } from '../../core/purpose/biteTrace.ts'
import { FUSE_OF_LEADER, type LeaderAdvice, type LeaderReason, leaderBeside } from '../../core/purpose/leader.ts'
import type { Purpose } from '../../core/purpose/purpose.ts'
import { percent } from '../../core/units/percent.ts'
import { useShow } from '../settings/preferences.tsx'
import { phraseWords } from '../words/findingWords.ts'
import { BITE_WORDS } from '../words/purposeWords.ts'

const OF: Record<LeaderReason['of'], string> = { strength: 'strength', length: 'length', atHook: 'at the hook' }
const BOUND: Record<LeaderReason['bound'], string> = {
  usual: 'usual',
  wish: 'better',
  least: 'at least',
  most: 'at most',
  rule: 'rule',
}

/** Why a leader is as strong and as long as it is asked to be, what that makes the fuse, and what may stand against teeth. */
export function LeaderReasons({ advice, purpose }: { advice: LeaderAdvice; purpose: Purpose }) {
  const show = useShow()
  const beside = leaderBeside(advice.labelN, purpose.mainN)
  return (
    <div className="grid gap-2 text-sm">
      <table>
        <caption className="sr-only">Why this leader</caption>
        <tbody>
          {advice.reasons.map(({ of, bound, why }) => (
            <tr key={`${of} ${bound} ${phraseWords(why, show)}`} className="border-t border-rule align-top">
              <th scope="row" className="py-0.5 pr-2 text-left font-normal whitespace-nowrap text-quiet">
                {OF[of]}, {BOUND[bound]}
              </th>
              <td className="py-0.5">{phraseWords(why, show)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {advice.conflicts.map((conflict) => (
        <p key={phraseWords(conflict, show)} className="text-watch">
          {phraseWords(conflict, show)}
        </p>
      ))}
      <ul className="grid gap-0.5">
        {(['lighter', 'equal', 'heavier'] as const).map((each) => (
          <li key={each} className={each === beside ? 'font-semibold' : 'text-quiet'}>
            {FUSE_OF_LEADER[each]}
          </li>
        ))}
      </ul>
      {purpose.target && purpose.target.teeth !== 'none' && (
        <ul aria-label="For teeth" className="grid gap-0.5">
          {biteTracesFor(purpose, advice.atHookN).map(({ kind, bitesLost, why, barred }, i) => (
            <li key={kind} className={i === 0 ? '' : 'text-quiet'}>
              <strong className="font-semibold">{BITE_WORDS[kind]}</strong>: {why}{' '}
              {barred ? 'Not allowed by your rule set.' : bitesLost > 0 && `It costs about ${percent(bitesLost)} of the bites.`}
            </li>
          ))}
        </ul>
      )}
    </div>
  )
}
