import { isWire } from '../../catalogue/materials.ts'
import { isLine } from '../../documents/pieces.ts'
import { withFields } from '../../edit/changes.ts'
import { removePart } from '../../edit/removePart.ts'
import { replacePart } from '../../edit/replacePart.ts'
import { mass, say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { byEdit, called } from '../remedies.ts'

/** Wire, lights or small lead where the rule in force bars them. */
export const barredParts: Rule = {
  id: 'barred-parts',
  check: ({ ruleSet, setup }) =>
    setup.trace.pieces.flatMap((piece) => {
      const { trace } = setup
      if (!ruleSet) return []
      const book = `“${ruleSet.name}”, last checked ${ruleSet.checkedOn}`
      const least = ruleSet.leastLeadKg
      if (!ruleSet.wireAllowed && isLine(piece) && isWire(piece.material))
        return [
          {
            subject: piece.id,
            severity: 'caution' as const,
            why: say`${called(trace, piece.id)} is ${piece.material}, which ${book}, does not allow.`,
            figure: 1,
            remedies: [byEdit('use mono instead', () => replacePart(setup, piece.id, 'snood'))],
          },
        ]
      if (!ruleSet.lightsAllowed && piece.role === 'light')
        return [
          {
            subject: piece.id,
            severity: 'caution' as const,
            why: say`Lights are not allowed by ${book}.`,
            figure: 1,
            remedies: [byEdit('remove it', () => removePart(setup, piece.id, { below: true }))],
          },
        ]
      if (least !== undefined && piece.role === 'sinker' && (piece.metal ?? 'lead') === 'lead' && piece.massKg < least)
        return [
          {
            subject: piece.id,
            severity: 'caution' as const,
            why: say`Lead sinkers under ${mass(least)} are not allowed by ${book}; ${called(trace, piece.id)} is ${mass(piece.massKg)}.`,
            figure: least / piece.massKg,
            remedies: [
              {
                label: 'use the same weight in tungsten',
                make: () => ({ trace: withFields(trace, piece.id, { metal: 'tungsten' }) }),
              },
              {
                label: 'use the lightest that is allowed',
                make: () => ({ trace: withFields(trace, piece.id, { massKg: least }) }),
              },
            ],
          },
        ]
      return []
    }),
}
