import { linkKey, sameLink } from '../../documents/linkRef.ts'
import { withFuse } from '../../edit/changes.ts'
import { say } from '../../units/phrase.ts'
import { type Rule, SEVERITY_OF } from '../finding.ts'

/** The chosen fuse is not what goes first. */
export const fuseNotFirst: Rule = {
  id: 'fuse-not-first',
  explains: ['snag'],
  check: ({ moments: { run, snag }, setup: { trace } }) => {
    const { fuse } = trace
    if (!fuse) return []
    const path = run?.paths.find(({ links }) => links.some(({ ref }) => sameLink(ref, fuse)))
    const snagged = snag?.deciding.wanted === 'fuse' ? snag.verdict : 'holds'
    if (!path || (sameLink(path.goesFirst.ref, fuse) && snagged === 'holds')) return []
    const chance = path.first[path.links.findIndex(({ ref }) => sameLink(ref, fuse))] ?? 0
    return [
      {
        subject: linkKey(fuse),
        severity: SEVERITY_OF[snagged],
        why: say`The fuse you chose breaks first in only ${Math.round(chance * 100)} of 100 breaks.`,
        figure: 1 - chance,
        remedies: [
          {
            label: 'make the link that breaks first the fuse',
            make: () => {
              // A link of the outfit cannot be named on the trace.
              const { ref } = path.goesFirst
              return ref.at === 'piece' || ref.at === 'joint' ? { trace: { ...trace, fuse: ref } } : undefined
            },
          },
          {
            label: 'remove the fuse',
            make: () => ({ trace: withFuse(trace, undefined) }),
          },
        ],
      },
    ]
  },
}
