import type { Catalogue } from '../../catalogue/catalogue.ts'
import { type LineSpec, lineDiameterM, timesTooGood } from '../../catalogue/materials.ts'
import { isLine } from '../../documents/pieces.ts'
import type { LinePiece } from '../../documents/trace.ts'
import { withPiece } from '../../edit/changes.ts'
import { diameter, figure, say, strength } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { called, WOUND_NAMES } from '../remedies.ts'

/** Strength over area beyond what the material can do: label or diameter is optimistic. */
export const labelSanity: Rule = {
  id: 'label-sanity',
  check: ({ setup: { trace, outfit, catalogue } }) => [
    ...outfit.wound.flatMap((line) =>
      tooGood(catalogue, line).map(({ times, diameterM, name }) => ({
        subject: line.role,
        severity: 'caution' as const,
        why: say`${WOUND_NAMES[line.role]} on the reel is labelled ${strength(line.strengthN)} at ${diameter(diameterM)}: ${figure(times, 1)} times what ${name} can hold. Measure it and correct the outfit.`,
        figure: times,
        remedies: [],
      })),
    ),
    ...trace.pieces.filter(isLine).flatMap((line) =>
      tooGood(catalogue, line).map(({ times, diameterM, name }) => ({
        subject: line.id,
        severity: 'caution' as const,
        why: say`${called(trace, line.id)} is labelled ${strength(line.strengthN)} at ${diameter(diameterM)}: ${figure(times, 1)} times what ${name} can hold. Check label and diameter.`,
        figure: times,
        remedies: [
          {
            label: 'use the nominal diameter of that strength',
            make: () => ({
              trace: withPiece(trace, line.id, (old) => {
                const { diameterM: _typed, ...rest } = old as LinePiece
                return rest
              }),
            }),
          },
        ],
      })),
    ),
  ],
}

/** The same with what is said of it; nothing where the label can be true. */
function tooGood(catalogue: Catalogue, line: LineSpec): { times: number; diameterM: number; name: string }[] {
  const times = timesTooGood(catalogue, line)
  return times === undefined
    ? []
    : [{ times, diameterM: lineDiameterM(catalogue, line), name: catalogue.materials[line.material].name }]
}
