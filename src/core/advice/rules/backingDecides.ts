import type { Rule } from '../finding.ts'
import { say, strength } from '../phrase.ts'

/** Old backing, or its join, is the weakest link with this much line out. */
export const backingDecides: Rule = {
  id: 'backing-decides',
  check: ({ moments: { run }, setup: { out, conditions } }) => {
    const weakest = run?.deciding.weakest
    const backed = out[0]?.line.role === 'backing'
    const decides =
      (weakest?.ref.at === 'wound' && weakest.ref.role === 'backing') ||
      (weakest?.ref.at === 'woundJoint' && weakest.ref.role === 'main')
    if (!weakest || !backed || !decides) return []
    const onSpoolM = out.slice(1).reduce((sum, { outM }) => sum + outM, 0)
    const lineOutM = Math.floor(onSpoolM)
    return [
      {
        subject: 'backing',
        severity: 'caution',
        why: say`With this line out the backing bears the pull, and it is the weakest link at ${strength(weakest.strengthN)}: its age and its join count too.`,
        figure: (conditions.lineOutM - onSpoolM + 1) / weakest.strengthN,
        remedies: [
          {
            label: 'fish with the backing on the spool',
            make: () => ({ conditions: { ...conditions, lineOutM } }),
          },
        ],
      },
    ]
  },
}
