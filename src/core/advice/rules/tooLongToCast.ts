import { lineAlongM } from '../../soundness/paths.ts'
import { length, say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'

/** Share of the rod's length that a sinker may hang below its tip as a cast begins; a pendulum swings a longer one. Ours. */
const MOST = { pendulum: 0.9, other: 0.75 }

/** More hangs below the tip ring than can be swung from this rod: what stops there cannot be wound in before the cast. */
export const tooLongToCast: Rule = {
  id: 'too-long-to-cast',
  check: ({ moments: { cast, hand }, setup }) => {
    const { outfit, conditions, trace, tracePath } = setup
    if (!cast) return []
    // What is wound through the tip ring does not hang: from what stops there on, all of it does.
    const stop = hand?.paths.map(({ stopsAt }) => stopsAt).find(({ at }) => at === 'piece')
    const path = tracePath(cast.carrier)
    const from = stop?.at === 'piece' ? path.findIndex(({ id }) => id === stop.id) : -1
    const hangsM = Math.max(conditions.dropM, from < 0 ? 0 : lineAlongM(path.slice(from)))
    const mostM = (conditions.castStyle === 'pendulum' ? MOST.pendulum : MOST.other) * outfit.rod.lengthM
    if (hangsM <= mostM) return []
    const isDrop = hangsM === conditions.dropM
    return [
      {
        severity: 'caution',
        about: trace.pieces.filter(({ id }) => id === cast.carrier).map(({ id }) => id),
        why: say`${length(hangsM)} hang below the tip as the cast begins. A rod of ${length(outfit.rod.lengthM)} swings up to ${length(mostM)}.`,
        figure: hangsM / mostM,
        remedies: isDrop
          ? [
              {
                label: 'begin the cast with less line',
                make: () => ({ conditions: { ...conditions, dropM: 0.3 * outfit.rod.lengthM } }),
              },
            ]
          : [],
      },
    ]
  },
}
