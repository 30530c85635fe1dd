import type { LinkRef } from '../../documents/linkRef.ts'
import { pathLinks } from '../../setup/pathLinks.ts'
import { weakestOf } from '../../setup/prepareSetup.ts'
import { length, say, strength } from '../../units/phrase.ts'
import type { Judged, Rule } from '../finding.ts'

/** A run of this much more is nothing unusual, m. Ours. */
const SOON_M = 60

/** Whether a link is the backing or the join above it. */
export const isBacking = (ref: LinkRef): boolean =>
  (ref.at === 'wound' && ref.role === 'backing') || (ref.at === 'woundJoint' && ref.role === 'main')

/** Old backing, or its join, is the weakest link with this much line out, or soon will be. */
export const backingDecides: Rule = {
  id: 'backing-decides',
  explains: ['snag'],
  check: ({ moments: { run, snag }, setup }) => {
    const { out, conditions } = setup
    const weakest = run?.deciding.weakest
    const backed = out[0]?.line.role === 'backing'
    const decides = weakest !== undefined && isBacking(weakest.ref)
    if (weakest && !backed) return backingNear(setup, weakest.strengthN)
    if (!weakest || !backed || !decides) return []
    const onSpoolM = out.slice(1).reduce((sum, { outM }) => sum + outM, 0)
    const lineOutM = Math.max(0, Math.floor(onSpoolM - SOON_M) - 1)
    return [
      {
        subject: 'backing',
        about: ['backing', 'main'],
        severity: snag?.verdict === 'fails' ? 'fault' : 'caution',
        why: say`With this line out the backing is the weakest link at ${strength(weakest.strengthN)}. Its age and its knot count too.`,
        figure: (setup.lineOutM - onSpoolM + 1) / weakest.strengthN,
        remedies: [
          {
            label: 'fish closer, with the backing deep on the spool',
            make: () => ({ conditions: { ...conditions, lineOutM } }),
          },
        ],
      },
    ]
  },
}

/** Few metres lie over a backing that is weaker by itself or at its join than all that is out. */
function backingNear({ outfit, spool, catalogue, conditions, lineOutM }: Judged['setup'], weakestN: number) {
  const [backing] = outfit.wound
  if (backing?.role !== 'backing') return []
  const overM = spool.layers.slice(1).reduce((sum, { lengthM }) => sum + lengthM, 0)
  const leftM = overM - lineOutM
  if (leftM > SOON_M) return []
  const { strengthN } = weakestOf(pathLinks({ catalogue, wound: outfit.wound, conditions }, []))
  if (strengthN >= 0.8 * weakestN) return []
  return [
    {
      subject: 'backing',
      about: ['backing', 'main'],
      severity: 'caution' as const,
      why: say`${length(Math.max(0, leftM))} more line out and the backing carries the load. It holds ${strength(strengthN)}; now ${strength(weakestN)} hold.`,
      figure: weakestN / strengthN,
      remedies: [],
    },
  ]
}
