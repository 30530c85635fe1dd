import { withFields } from '../../edit/changes.ts'
import { COVERAGE } from '../../moments/thresholds.ts'
import { gangsFor } from '../../setup/gangs.ts'
import { length, say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { called } from '../remedies.ts'

/** A dead bait of this length and over so many times its one hook has an end that no hook is near. Ours. */
const LONG_M = 0.18
const OVER_HOOK = 4
/** Ways that hold a long bait on one hook: it lies along the shank, or swims in one piece. */
const ALONG: readonly string[] = ['stitched', 'threaded', 'bound', 'seam']

/** One hook in one end of a long dead bait: fish take the other end. */
export const baitHalfHooked: Rule = {
  id: 'bait-half-hooked',
  check: ({ setup, moments: { take } }) =>
    (take?.hooks ?? []).flatMap((baited) => {
      const { hook, hooks, bait, body, dimensions } = baited
      const long = body.lengthM >= LONG_M && body.lengthM > OVER_HOOK * dimensions.pitchM
      if (hooks.length > 1 || body.alive || body.form === 'soft' || !long) return []
      if (bait.rigging !== undefined && ALONG.includes(bait.rigging)) return []
      const two = gangsFor(setup.catalogue, baited, COVERAGE).find(({ count, sound }) => count === 2 && sound)
      return [
        {
          subject: hook.id,
          severity: 'note' as const,
          why: say`${called(setup.trace, hook.id)} holds one end of a bait of ${length(body.lengthM)}. Fish take the other end.${two ? ` Two hooks of ${two.size} hold it.` : ''}`,
          figure: body.lengthM / dimensions.pitchM,
          remedies: [
            {
              label: 'stitch the bait to the shank',
              make: () => ({ trace: withFields(setup.trace, bait.id, { rigging: 'stitched' }) }),
            },
          ],
        },
      ]
    }),
}
