import { labelAtLeastN } from '../../catalogue/labels.ts'
import { isWire } from '../../catalogue/materials.ts'
import { labelledN } from '../../documents/pieces.ts'
import { mainLine } from '../../outfits/outfitLines.ts'
import { ON_ROUGH_GROUND } from '../../purpose/leader.ts'
import { say, strength } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { called, outfitLeader, restrung } from '../remedies.ts'

/** A leader lighter than the main line that is drawn over rock on a drift. */
export const chafesOnRock: Rule = {
  id: 'chafes-on-rock',
  check: (judged) => {
    const { trace, outfit, conditions } = judged.setup
    const { water } = conditions
    const leader = outfitLeader(trace)
    const mainN = mainLine(outfit).strengthN
    if (water?.method !== 'drift' || water.bed !== 'rock' || !leader || isWire(leader.material) || labelledN(leader) >= mainN)
      return []
    return [
      {
        subject: leader.id,
        severity: 'caution',
        why: say`${called(trace, leader.id)} of ${strength(labelledN(leader))} is lighter than the main line and is drawn over rock. It chafes through.`,
        figure: mainN / labelledN(leader),
        remedies: [restrung(judged, leader, labelAtLeastN(ON_ROUGH_GROUND * mainN), 'use a leader heavier than the main line')],
      },
    ]
  },
}
