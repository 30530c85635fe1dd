import { pieceById } from '../../documents/pieces.ts'
import { withFields } from '../../edit/changes.ts'
import { FLOAT_OVER_LOAD } from '../../moments/thresholds.ts'
import { fishingModeOf } from '../../setup/fishingMode.ts'
import { onFloat } from '../../setup/settling/onFloat.ts'
import { mass, say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { called } from '../remedies.ts'

/** What hangs under the float is more than it carries, or nearly; neither depth nor current is needed to know it. */
export const floatGoesUnder: Rule = {
  id: 'float-goes-under',
  explains: ['settle'],
  check: ({ setup }) => {
    const { trace } = setup
    const hung = fishingModeOf(trace) === 'hangs' ? onFloat(setup) : undefined
    if (!hung || hung.bearsN >= FLOAT_OVER_LOAD.holds * hung.loadN) return []
    const { id, bearsN, loadN } = hung
    const float = pieceById(trace, id)
    if (float?.role !== 'float') return []
    const wantedKg = Math.ceil(((float.massKg * loadN * FLOAT_OVER_LOAD.holds) / bearsN) * 500) / 500
    return [
      {
        subject: id,
        severity: bearsN < FLOAT_OVER_LOAD.watch * loadN ? 'fault' : 'caution',
        why: say`${called(trace, id)} of ${mass(float.massKg)} ${loadN > bearsN ? 'sinks under its load' : 'floats with almost no reserve over its load'}.`,
        figure: loadN / bearsN,
        remedies: [
          {
            label: 'use a float that carries it',
            make: () => ({ trace: withFields(trace, id, { massKg: wantedKg }) }),
          },
        ],
      },
    ]
  },
}
