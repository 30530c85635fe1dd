import { labelAtLeastN } from '../../catalogue/labels.ts'
import { labelledN } from '../../documents/pieces.ts'
import { mainLine } from '../../outfits/outfitLines.ts'
import { figure, say, strength } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { leaderOnTrace } from '../leaderOnTrace.ts'
import { called, outfitLeader, restrung } from '../remedies.ts'

/** Leader over main line from which it only thickens the knot, and over what anything asks of it. Ours. */
const OVER_MAIN = 2.5
const OVER_NEED = 1.5

/** A leader far stronger than the main line, with nothing that asks for it: no cast, no teeth, no tail, no hand. */
export const leaderFarOverMain: Rule = {
  id: 'leader-far-over-main',
  check: (judged) => {
    const { trace, outfit } = judged.setup
    const leader = outfitLeader(trace)
    const mainN = mainLine(outfit).strengthN
    // A leader that takes the cast is as strong as that asks for, whatever the main line is.
    if (!leader || labelledN(leader) <= OVER_MAIN * mainN || judged.moments.cast?.beginsAt === 'leader') return []
    const { labelN } = leaderOnTrace(judged, judged.ruleSet)
    if (labelledN(leader) <= OVER_NEED * labelN) return []
    return [
      {
        subject: leader.id,
        severity: 'caution',
        why: say`${called(trace, leader.id)} is ${figure(labelledN(leader) / mainN, 1)} times as strong as the main line, and ${strength(labelN)} would do. Every break is above it.`,
        figure: labelledN(leader) / mainN,
        remedies: [restrung(judged, leader, labelAtLeastN(labelN), 'use the leader that is needed')],
      },
    ]
  },
}
