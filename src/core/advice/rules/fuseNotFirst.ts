import type { Rule } from '../finding.ts'
import { say } from '../phrase.ts'

/** The chosen fuse is not what goes first. */
export const fuseNotFirst: Rule = {
  id: 'fuse-not-first',
  check: ({ run, workings: { trace } }) => {
    const path = run?.paths.find(({ links }) => links.some(({ id }) => id === trace.fuse))
    if (!path || path.goesFirst.id === trace.fuse) return []
    const chance = path.first[path.links.findIndex(({ id }) => id === trace.fuse)]!
    return [
      {
        subject: trace.fuse!,
        severity: 'note',
        why: say`The fuse you chose goes first in only ${Math.round(chance * 100)} of 100 breaks.`,
        figure: 1 - chance,
        remedies: [
          {
            label: 'name the link that does go first',
            make: () => ({ trace: { ...trace, fuse: ownLink(path.goesFirst.id, trace) } }),
          },
          {
            label: 'choose no fuse',
            make: () => {
              const { fuse: _fuse, ...rest } = trace
              return { trace: rest }
            },
          },
        ],
      },
    ]
  },
}

/** A link of the outfit cannot be named on the trace. */
const ownLink = (id: string, trace: { pieces: readonly { id: string }[] }) =>
  trace.pieces.some((piece) => piece.id === id.replace(/\.joint$/, '')) ? id : undefined
