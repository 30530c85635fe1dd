import { hookSuggest, LIVE_MASS_SHARE } from '../../catalogue/hookSuggest.ts'
import { hookDimensions, straighteningLoadN } from '../../catalogue/hooks.ts'
import { hungFrom } from '../../documents/pieces.ts'
import type { HookPiece } from '../../documents/trace.ts'
import { withFields } from '../../edit/changes.ts'
import { BAIT_DENSITY_KG_PER_M3 } from '../../math/constants.ts'
import { massOfKg } from '../../setup/masses.ts'
import { withA } from '../../setup/names.ts'
import { parseHookSize } from '../../units/hookSize.ts'
import { diameter, say } from '../../units/phrase.ts'
import type { Found, Judged, Remedy, Rule } from '../finding.ts'
import { called, lineAbove } from '../remedies.ts'

/** Gape over the side of a cube of the bait, and load that straightens it over its line, under which a hook is probably not what was meant. Ours. */
const MIN_GAPE = 0.22
const MIN_OF_LINE = 0.25
/** Gape over the same side from which the hook is larger than its bait, and what would do. Ours. */
const MAX_GAPE = 0.95
const FAIR_GAPE = 0.6

/**
 * A 2 where a 2/0 was meant: too small for its bait, or far too weak for its line; a hook larger than its bait; and sizes that the
 * table does not reach.
 */
export const hookHardlyMeant: Rule = {
  id: 'hook-hardly-meant',
  check: (judged) =>
    judged.setup.trace.pieces.flatMap((hook): Found[] => {
      const { trace, catalogue } = judged.setup
      if (hook.role !== 'hook' || hook.gapeM !== undefined) return []
      const size = parseHookSize(hook.size)
      const small = shortfallOf(judged, hook)
      const larger = size.ok && !size.size.aught ? `${size.size.label}/0` : undefined
      if (small > 1 && larger && shortfallOf(judged, { ...hook, size: larger }) <= 1 && !tires(judged, hook, larger))
        return [
          {
            subject: hook.id,
            severity: 'caution',
            why: say`${called(trace, hook.id)} is a size ${hook.size}, small for its bait or line. Perhaps you meant ${larger}.`,
            figure: small,
            remedies: [sized(judged, hook, larger)],
          },
        ]
      const dimensions = hookDimensions(catalogue, hook.pattern, hook.size)
      const baitM = baitSideM(judged, hook)
      if (dimensions && baitM > 0 && dimensions.gapeM > MAX_GAPE * baitM) {
        const fair = catalogue.hooks.sizes.findLast(
          (each) => (hookDimensions(catalogue, hook.pattern, each)?.gapeM ?? Number.POSITIVE_INFINITY) <= FAIR_GAPE * baitM,
        )
        return [
          {
            subject: hook.id,
            severity: 'note',
            why: say`${called(trace, hook.id)} has a gap of ${diameter(dimensions.gapeM)}, as wide as its bait is thick. The bait comes off in the cast or the take.`,
            figure: dimensions.gapeM / baitM,
            remedies: fair ? [sized(judged, hook, fair)] : [],
          },
        ]
      }
      if (!dimensions?.extrapolated) return []
      return [
        {
          subject: hook.id,
          severity: 'note',
          why: say`Size ${hook.size} is outside the hook table, so gap and wire of ${called(trace, hook.id)} are extrapolated. Measure them.`,
          figure: 1,
          remedies: [],
        },
      ]
    }),
}

/** Whether a size would tire the live bait on a hook, and the one it has is no smaller than suits the bait: then the small one is meant. */
function tires({ moments: { take }, setup: { catalogue } }: Judged, hook: HookPiece, size: string): boolean {
  const on = take?.hooks.find((each) => each.hook.id === hook.id)
  const massKg = hookDimensions(catalogue, hook.pattern, size)?.massKg ?? 0
  if (!on?.body.alive || massKg <= LIVE_MASS_SHARE.watch * on.body.massKg) return false
  const [best] = hookSuggest(catalogue, { pattern: hook.pattern, ...on.wanted }).sizes
  return on.dimensions.gapeM >= (best?.gapeM ?? 0)
}

const sized = ({ setup: { trace } }: Judged, hook: HookPiece, size: string): Remedy => ({
  label: `use ${withA(size)}`,
  make: () => ({ trace: withFields(trace, hook.id, { size }) }),
})

/** The side of a cube of the largest bait on a hook, m; 0 without one. */
const baitSideM = ({ setup: { trace, catalogue } }: Judged, hook: HookPiece): number =>
  Math.max(
    0,
    ...hungFrom(trace, hook.id)
      .filter(({ role }) => role === 'bait')
      .map((bait) => Math.cbrt(massOfKg(catalogue, bait) / BAIT_DENSITY_KG_PER_M3)),
  )

/** How many times too small a hook is for what is on it, or too weak for what it is on; up to 1 it is neither. */
function shortfallOf(judged: Judged, hook: HookPiece): number {
  const dimensions = hookDimensions(judged.setup.catalogue, hook.pattern, hook.size)
  if (!dimensions) return 0
  const line = lineAbove(judged, hook)
  const straightensN = straighteningLoadN(hook.wireM ?? dimensions.wireM, dimensions.gapeM)
  return Math.max(
    (MIN_GAPE * baitSideM(judged, hook)) / dimensions.gapeM,
    line ? (MIN_OF_LINE * line.strengthN) / straightensN : 0,
  )
}
