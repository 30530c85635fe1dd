import { labelAtLeastN } from '../../catalogue/labels.ts'
import { isWire } from '../../catalogue/materials.ts'
import { isLine, labelledN } from '../../documents/pieces.ts'
import { say, strength } from '../../units/phrase.ts'
import { QUANTITIES } from '../../units/quantities.ts'
import type { Rule } from '../finding.ts'
import { called, restrung } from '../remedies.ts'

/** Wire that a large fish does not bite or kink through, over the root of its mass, N per √kg. Nominal, ours. */
const WIRE_N_PER_ROOT_KG = 10 * QUANTITIES.strength.units.lb
/** Labels that are this near are alike. */
const NEAR = 0.85

/** Wire lighter than the fish asks for: it kinks, and parts at the kink. */
export const wireTooLight: Rule = {
  id: 'wire-too-light',
  check: (judged) => {
    const { trace, conditions } = judged.setup
    const { target } = conditions
    if (!target || target.teeth === 'none') return []
    const neededN =
      WIRE_N_PER_ROOT_KG * Math.sqrt(Math.max(target.typicalMassKg, conditions.fishAssumed ? 0 : conditions.fishMassKg))
    return trace.pieces.filter(isLine).flatMap((line) => {
      if (!isWire(line.material) || labelledN(line) >= NEAR * neededN) return []
      return [
        {
          subject: line.id,
          severity: 'caution' as const,
          why: say`${called(trace, line.id)} is wire of ${strength(labelledN(line))}; ${target.name} needs ${strength(neededN)}. Light wire kinks and breaks at the kink.`,
          figure: neededN / labelledN(line),
          remedies: [restrung(judged, line, labelAtLeastN(neededN), 'use wire strong enough for the fish')],
        },
      ]
    })
  },
}
