import { isWire } from '../../catalogue/materials.ts'
import type { Trace } from '../../documents/trace.ts'
import { withLength } from '../../edit/changes.ts'
import { withStrand } from '../../edit/restring.ts'
import { judge } from '../../moments/judge.ts'
import { VERDICT_RANK, worseVerdict } from '../../moments/moment.ts'
import { type Rush, rushOn } from '../../moments/rush.ts'
import { givenDrag } from '../../setup/drag.ts'
import type { PreparedSetup } from '../../setup/prepareSetup.ts'
import { length, say, strength } from '../../units/phrase.ts'
import { type Found, type Remedy, type Rule, SEVERITY_OF } from '../finding.ts'
import { called, easedDragN, outfitLeader } from '../remedies.ts'

/** Times as long as it is that a leader is tried. */
const LONGER = [1.5, 2, 3, 5, 8]

/** The line or the rod gives too little for a sudden rush: at the line out as it is, or under the rod tip. */
export const rushBreaks: Rule = {
  id: 'rush-breaks',
  explains: ['run', 'hand'],
  check: ({ moments: { run, hand }, setup }) => {
    // Where the drag or the weight alone is too much, that is said instead.
    const [worst] = [
      ...(run ? [{ ...run.deciding, own: run.deciding.byDrag }] : []),
      ...(hand ? [{ ...hand.deciding, own: worseVerdict(hand.deciding.withoutRush, run?.deciding.byDrag ?? 'holds') }] : []),
    ]
      .filter(({ rush, own }) => VERDICT_RANK[rush.verdict] > VERDICT_RANK[own])
      .toSorted((a, b) => a.rush.survival - b.rush.survival)
    if (!worst) return []
    return [foundOf(setup, worst.end, worst.rush)]
  },
}

function foundOf(setup: PreparedSetup, end: string, rush: Rush): Found {
  const { conditions } = setup
  const held = conditions.rodHeld === 'pointed' ? 'pointed at the fish' : 'bent'
  return {
    subject: end,
    severity: SEVERITY_OF[rush.verdict],
    why: say`A sudden run with ${length(rush.lineOutM)} of line ${rush.atSide ? 'from the rod tip to the fish' : 'out'} and the rod ${held} pulls ${strength(rush.peakN)} before the spool turns. The chain breaks ${Math.round((1 - rush.survival) * 100)} times in 100. A softer rod or a mono top shot helps.`,
    figure: 1 / Math.max(rush.survival, 1e-6),
    remedies: [
      ...(conditions.rodHeld === 'pointed'
        ? [{ label: 'hold the rod up, bent', make: () => ({ conditions: { ...conditions, rodHeld: 'bent' as const } }) }]
        : []),
      {
        label: 'lower the drag when the leader comes up',
        make: () => {
          const dragN = easedDragN(
            conditions.dragN,
            (eased) => rushOn({ ...setup, conditions: { ...conditions, dragN: eased } }, end, rush).verdict === 'holds',
          )
          return dragN > 0 ? { conditions: { ...conditions, ...givenDrag(dragN) } } : undefined
        },
      },
      ...longerLeader(setup),
    ],
  }
}

/** The leader of mono, as much longer as leaves the chain whole in a rush. */
function longerLeader({ trace, outfit, catalogue, conditions }: PreparedSetup): Remedy[] {
  const leader = outfitLeader(trace)
  if (!leader || isWire(leader.material)) return []
  const whole = (made: Trace) => {
    const { run, hand } = judge({ trace: made, outfit, catalogue, conditions }, ['run', 'hand']).moments
    return [run?.deciding.rush, hand?.deciding.rush].every((rush) => rush === undefined || rush.verdict === 'holds')
  }
  const make = () => {
    const mono = withStrand(trace, leader.id, ({ diameterM: _old, ...line }) => ({ ...line, material: 'mono' }))
    const longer = LONGER.map((times) => withLength(mono, leader.id, Math.round(10 * times * leader.lengthM) / 10)).find(whole)
    return longer && { trace: longer }
  }
  return [{ label: `make ${called(trace, leader.id)} longer, in mono`, make }]
}
