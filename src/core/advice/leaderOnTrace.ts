import type { RuleSet } from '../documents/ruleSet.ts'
import { familyOf } from '../families/families.ts'
import type { Judgement } from '../moments/judge.ts'
import { mainLine } from '../outfits/outfitLines.ts'
import { type LeaderAdvice, leaderFor } from '../purpose/leader.ts'
import { purposeOf } from '../purpose/purpose.ts'
import { lineAlongM } from '../soundness/paths.ts'

/** Leader over main line where no family says. Nominal. */
const DEFAULT_OVER_MAIN = 0.75

/** What the leader of a trace has to do, by the same function that drafts it. */
export function leaderOnTrace({ setup, moments: { cast } }: Judgement, ruleSet?: RuleSet): LeaderAdvice {
  const { trace, outfit, conditions, ends, tracePath } = setup
  const end = ends.find(({ role }) => role !== 'sinker')
  const usualM = end ? lineAlongM(tracePath(end.id)) : 0
  return leaderFor(purposeOf(setup, ruleSet), {
    usualN: (familyOf(trace.family)?.leaderOverMain ?? DEFAULT_OVER_MAIN) * mainLine(outfit).strengthN,
    usualM,
    onReel: usualM > outfit.rod.lengthM + conditions.freeboardM,
    ...(cast ? { castN: cast.neededN } : {}),
  })
}
