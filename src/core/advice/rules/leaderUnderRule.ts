import { labelAtLeastN } from '../../catalogue/labels.ts'
import { labelledN } from '../../documents/pieces.ts'
import { NEAR_THE_RULE } from '../../moments/thresholds.ts'
import { freeLine, mainLine } from '../../outfits/outfitLines.ts'
import { mass, say, strength } from '../../units/phrase.ts'
import { gentlerCast, shockLeader } from '../castRemedies.ts'
import type { Rule } from '../finding.ts'
import { outfitLeader, restrung } from '../remedies.ts'

/** Share of the rule’s strength under which a full cast is no matter of taste. Ours. */
const FAR_UNDER = 0.75

/** The shore angler’s rule of 10 lb an ounce, against what takes the cast. */
export const leaderUnderRule: Rule = {
  id: 'leader-under-rule',
  check: (judged) => {
    const {
      moments: { cast },
      setup: { trace, outfit, conditions },
    } = judged
    // A lob is no full cast: nobody goes by the rule for it.
    if (!cast || conditions.castStyle === 'lob') return []
    const leader = outfitLeader(trace)
    const onLeader = cast.beginsAt === 'leader' && leader !== undefined
    const takes = onLeader ? leader : cast.beginsAt === 'topShot' ? freeLine(outfit) : mainLine(outfit)
    const share = labelledN(takes) / cast.ruleN
    if (share >= NEAR_THE_RULE) return []
    const name = onLeader ? 'leader' : cast.beginsAt === 'topShot' ? 'top shot' : 'main line'
    return [
      {
        about: onLeader ? [leader.id] : ['main', 'topShot'],
        severity: share < FAR_UNDER ? 'caution' : 'note',
        why: say`The rule of 10 lb an ounce needs ${strength(cast.ruleN)} to cast ${mass(cast.massKg)}; the ${name} that takes the cast is ${strength(labelledN(takes))}. By the model it needs ${strength(cast.neededN)}.`,
        figure: 1 / share,
        remedies: [
          onLeader
            ? restrung(judged, leader, labelAtLeastN(NEAR_THE_RULE * cast.ruleN), 'a leader of the strength in the rule')
            : shockLeader(judged, cast),
          ...gentlerCast(judged).slice(-1),
        ],
      },
    ]
  },
}
