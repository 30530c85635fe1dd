import { nextLabelN } from '../../catalogue/labels.ts'
import { labelledN } from '../../documents/pieces.ts'
import { freeLine, mainLine } from '../../outfits/outfitLines.ts'
import { say, strength } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { outfitLeader, restrung } from '../remedies.ts'

/** Equal labels in main line and leader, with or without a double between: the knots decide, by chance. */
export const equalLabels: Rule = {
  id: 'equal-labels',
  check: (judged) => {
    const { trace, outfit } = judged.setup
    const leader = outfitLeader(trace)
    const mainN = mainLine(outfit).strengthN
    const goesFirst = judged.moments.run?.deciding.goesFirst
    if (!leader || freeLine(outfit).role !== 'main' || !goesFirst?.byChance || trace.fuse !== undefined) return []
    if (Math.abs(labelledN(leader) / mainN - 1) > 0.02) return []
    const [down, up] = [nextLabelN(leader.strengthN, -1, 'lb'), nextLabelN(leader.strengthN, 1, 'lb')]
    return [
      {
        subject: leader.id,
        severity: 'note',
        why: say`Main line and leader are both ${strength(mainN)}. There is no fuse, so any knot can break first.`,
        figure: 1 - goesFirst.probability,
        remedies: [
          restrung(judged, leader, down, 'use the next lighter leader, so it breaks first'),
          restrung(judged, leader, up, 'use the next stronger leader, so the main line or its knot breaks first'),
        ],
      },
    ]
  },
}
