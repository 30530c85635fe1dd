import { hookDimensions } from '../../catalogue/hooks.ts'
import { parentId, pieceById } from '../../documents/pieces.ts'
import type { HookPiece } from '../../documents/trace.ts'
import { withPiece } from '../../edit/changes.ts'
import { fishesOf } from '../../setup/fishes.ts'
import { massOfKg } from '../../setup/masses.ts'
import type { Rule } from '../finding.ts'
import { say } from '../phrase.ts'
import { called } from '../remedies.ts'

/** Hook over the bait's mass beyond which a live bait tires. */
const HEAVY = 0.05
/** Baits that may be fished alive, where the end swims or hangs; on the bottom they are dead. */
const ALIVE: readonly string[] = ['sandeel', 'wholePouting']

/** A live bait swims only if the hook is light. */
export const hookTiresBait: Rule = {
  id: 'hook-tires-bait',
  check: ({ setup: { trace, catalogue } }) =>
    trace.pieces.flatMap((bait) => {
      if (bait.role !== 'bait' || !['swims', 'hangs'].includes(fishesOf(trace)) || !ALIVE.includes(bait.bait)) return []
      const hook = pieceById(trace, parentId(bait.attach))
      if (hook?.role !== 'hook') return []
      const share = massOfKg(catalogue, hook) / massOfKg(catalogue, bait)
      if (share <= HEAVY) return []
      const size = catalogue.hooks.sizes
        .toReversed()
        .find((each) => (hookDimensions(catalogue, hook.pattern, each)?.massKg ?? 1) <= HEAVY * massOfKg(catalogue, bait))
      return [
        {
          subject: hook.id,
          severity: 'note',
          why: say`${called(trace, hook.id)} weighs ${(share * 100).toFixed(0)} % of its bait; alive it tires beyond 5 %.`,
          figure: share / HEAVY,
          remedies: size
            ? [
                {
                  label: `take a ${size}, if the bait is fished alive`,
                  make: () => ({
                    trace: withPiece(trace, hook.id, (old) => {
                      const { gapeM: _gape, wireM: _wire, ...rest } = old as HookPiece
                      return { ...rest, size }
                    }),
                  }),
                },
              ]
            : [],
        },
      ]
    }),
}
