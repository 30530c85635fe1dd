import { withLength } from '../../edit/changes.ts'
import { freeLine } from '../../outfits/outfitLines.ts'
import { tailM } from '../../purpose/leader.ts'
import { lineAlongM } from '../../soundness/paths.ts'
import { length, say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { called } from '../remedies.ts'

/** The fish is longer than all that lies between its hook and the main line, and its tail reaches that. */
export const shorterThanTail: Rule = {
  id: 'shorter-than-tail',
  check: ({ setup: { trace, outfit, conditions, ends, tracePath } }) => {
    const { target } = conditions
    const wantedM = target ? tailM(target) : 0
    // A top shot resists the tail as a leader does.
    const woundM = freeLine(outfit).role === 'topShot' ? (freeLine(outfit).lengthM ?? 0) : 0
    return ends.flatMap(({ id, role }) => {
      const path = tracePath(id)
      const leaderM = lineAlongM(path) + woundM
      if (!target || role === 'sinker' || leaderM >= wantedM) return []
      const [longest] = path
        .flatMap((element) => (element.kind === 'line' ? [element.line] : []))
        .toSorted((a, b) => b.lengthM - a.lengthM)
      return [
        {
          subject: id,
          severity: 'caution' as const,
          why: say`There are ${length(leaderM)} between ${called(trace, id)} and the main line. A large ${target.name} is ${length(target.largeLengthM)} long; its tail reaches the line.`,
          figure: wantedM / Math.max(leaderM, 0.01),
          remedies: longest
            ? [
                {
                  label: `make ${called(trace, longest.id)} longer than the fish`,
                  make: () => ({
                    trace: withLength(trace, longest.id, Math.ceil(10 * (longest.lengthM + wantedM - leaderM)) / 10),
                  }),
                },
              ]
            : [],
        },
      ]
    })
  },
}
