import { pieceById } from '../../documents/pieces.ts'
import { withPiece } from '../../edit/changes.ts'
import { FLOAT_OVER_LOAD } from '../../moments/thresholds.ts'
import type { Rule } from '../finding.ts'
import { mass, say } from '../phrase.ts'
import { called } from '../remedies.ts'

/** What hangs under the float is more than it bears, or all but. */
export const floatGoesUnder: Rule = {
  id: 'float-goes-under',
  check: ({ moments: { settle }, setup: { trace } }) => {
    if (!settle?.onFloat || settle.verdict === 'holds') return []
    const { id, bearsN, loadN } = settle.onFloat
    const float = pieceById(trace, id)
    if (float?.role !== 'float') return []
    const wantedKg = Math.ceil(((float.massKg * loadN * FLOAT_OVER_LOAD.holds) / bearsN) * 500) / 500
    return [
      {
        subject: id,
        severity: settle.verdict === 'fails' ? 'fault' : 'caution',
        why: say`${called(trace, id)} of ${mass(float.massKg)} ${loadN > bearsN ? 'goes under with what hangs from it' : 'has next to nothing to spare over what hangs from it'}.`,
        figure: loadN / bearsN,
        remedies: [
          {
            label: 'take a float that bears it',
            make: () => ({ trace: withPiece(trace, id, (old) => ({ ...old, massKg: wantedKg }) as typeof old) }),
          },
        ],
      },
    ]
  },
}
