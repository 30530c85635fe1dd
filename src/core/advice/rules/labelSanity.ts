import { lineDiameterM, MATERIALS } from '../../gear/materials.ts'
import { withPiece } from '../../trace/edit.ts'
import { isLine, type LinePiece } from '../../trace/schema.ts'
import type { Rule } from '../finding.ts'
import { diameter, say, strength } from '../phrase.ts'
import { called } from '../remedies.ts'

/** Strength over area beyond what the material can do: label or diameter is optimistic. */
export const labelSanity: Rule = {
  id: 'label-sanity',
  check: ({ workings: { trace } }) =>
    trace.pieces.flatMap((line) => {
      if (!isLine(line) || line.diameterM === undefined) return []
      const { sanePa, name } = MATERIALS[line.material]
      const stressPa = line.strengthN / ((Math.PI / 4) * lineDiameterM(line) ** 2)
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
