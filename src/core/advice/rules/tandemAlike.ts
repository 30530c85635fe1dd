import { isHeaded, lineById, parentId } from '../../documents/pieces.ts'
import { withLength, withPiece } from '../../edit/changes.ts'
import { figure, mass, say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { called } from '../remedies.ts'

/** Two lures or jig heads on one rig: at least twice the weight apart, the light one on about twice the leg. */
const APART = 2
const LEGS = 1.5

/** Tandem lures or jig heads too alike in weight or leg swim into each other. */
export const tandemAlike: Rule = {
  id: 'tandem-alike',
  check: ({ setup: { trace } }) => {
    const legs = trace.pieces.flatMap((lure) => {
      const leg = lineById(trace, parentId(lure.attach))
      const massKg = lure.role === 'lure' ? lure.massKg : isHeaded(lure) ? lure.headKg : undefined
      return massKg !== undefined && leg?.role === 'snood' ? [{ lure, leg, massKg }] : []
    })
    const [heavy, light] = legs.toSorted((a, b) => b.massKg - a.massKg)
    if (!heavy || !light || legs.length !== 2 || parentId(heavy.leg.attach) !== parentId(light.leg.attach)) return []
    const [weights, lengths] = [heavy.massKg / light.massKg, light.leg.lengthM / heavy.leg.lengthM]
    if (weights >= APART * 0.999 && lengths >= LEGS) return []
    return [
      {
        subject: light.lure.id,
        severity: 'caution',
        why: say`${called(trace, heavy.lure.id)} is ${mass(heavy.massKg)} and ${called(trace, light.lure.id)} ${mass(light.massKg)} on ${figure(lengths, 1)} times its leg. They are too alike and will tangle.`,
        figure: Math.max(APART / weights, LEGS / lengths),
        remedies: [
          {
            label: 'half the weight and twice the leg for the lighter lure',
            make: () => {
              const halved = withPiece(
                trace,
                light.lure.id,
                (old) => ({ ...old, [old.role === 'hook' ? 'headKg' : 'massKg']: heavy.massKg / APART }) as typeof light.lure,
              )
              return { trace: withLength(halved, light.leg.id, Math.max(light.leg.lengthM, 2 * heavy.leg.lengthM)) }
            },
          },
        ],
      },
    ]
  },
}
