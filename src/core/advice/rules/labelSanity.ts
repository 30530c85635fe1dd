import { lineDiameterM } from '../../catalogue/materials.ts'
import { isLine } from '../../documents/pieces.ts'
import type { LinePiece } from '../../documents/trace.ts'
import { withPiece } from '../../edit/changes.ts'
import type { Rule } from '../finding.ts'
import { diameter, say, strength } from '../phrase.ts'
import { called } from '../remedies.ts'

/** Strength over area beyond what the material can do: label or diameter is optimistic. */
export const labelSanity: Rule = {
  id: 'label-sanity',
  check: ({ setup: { trace, catalogue } }) =>
    trace.pieces.flatMap((line) => {
      if (!isLine(line) || line.diameterM === undefined) return []
      const { sanePa, name } = catalogue.materials[line.material]
      const stressPa = line.strengthN / ((Math.PI / 4) * lineDiameterM(catalogue, line) ** 2)
      if (stressPa <= sanePa) return []
      return [
        {
          subject: line.id,
          severity: 'caution',
          why: say`${called(trace, line.id)} is labelled ${strength(line.strengthN)} at ${diameter(line.diameterM)}: ${(stressPa / sanePa).toFixed(1)} times what ${name} can bear. Label or diameter is optimistic.`,
          figure: stressPa / sanePa,
          remedies: [
            {
              label: 'count with the nominal diameter of that strength',
              make: () => ({
                trace: withPiece(trace, line.id, (old) => {
                  const { diameterM: _typed, ...rest } = old as LinePiece
                  return rest
                }),
              }),
            },
          ],
        },
      ]
    }),
}
