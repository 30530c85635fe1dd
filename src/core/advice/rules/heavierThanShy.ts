import { labelAtMostN } from '../../catalogue/labels.ts'
import { labelledN, lineById, parentId } from '../../documents/pieces.ts'
import { leaderFor, shyMostN } from '../../purpose/leader.ts'
import { purposeOf } from '../../purpose/purpose.ts'
import { say, strength } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { called, restrung } from '../remedies.ts'

/** Labels that are this near are alike: less than a step. */
const NEAR = 1.15

/** The line at the hook is heavier than a shy fish accepts in clear water by day. */
export const heavierThanShy: Rule = {
  id: 'heavier-than-shy',
  check: (judged) => {
    const { setup, ruleSet } = judged
    const { trace, conditions } = setup
    const purpose = purposeOf(setup, ruleSet)
    const mostN = shyMostN(purpose)
    const { target } = conditions
    if (!target || mostN === Number.POSITIVE_INFINITY) return []
    const { atHookN } = leaderFor(purpose, { usualN: 0, usualM: 0 })
    return trace.pieces.flatMap((end) => {
      const line = end.role === 'hook' || end.role === 'lure' ? lineById(trace, parentId(end.attach)) : undefined
      if (!line || labelledN(line) <= NEAR * mostN) return []
      return [
        {
          subject: end.id,
          severity: 'note' as const,
          why: say`${called(trace, line.id)} of ${strength(labelledN(line))} shows in clear water. ${target.name} accepts up to ${strength(mostN)}and bites less on more.`,
          figure: labelledN(line) / mostN,
          remedies: mostN >= atHookN ? [restrung(judged, line, labelAtMostN(mostN), 'line that the fish accepts')] : [],
        },
      ]
    })
  },
}
