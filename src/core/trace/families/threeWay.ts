import { castLoad } from '../../cast/load.ts'
import { CAST_PEAK_FACTOR, CAST_STYLES } from '../../cast/styles.ts'
import type { Conditions } from '../conditions.ts'
import { mainLine } from '../outfit.ts'
import type { ReleaseClip } from '../schema.ts'
import {
  assemble,
  baitedHook,
  castLabelN,
  type Family,
  hardware,
  joined,
  labelAtLeastN,
  labelAtMostN,
  leaderPiece,
  sinker,
} from './draft.ts'

const SINKER_LINE_M = 0.5
const HOOK_LINE_M = 0.9
/** Weak link over the weakest above it that a draft aims for: the knots' spread still lets it go first 49 times in 50. */
const WEAK_LINK_SHARE = 0.6

/** A three-way swivel: a lighter sinker line below, a hook line to the side. */
export const threeWay: Family = {
  id: 'threeWay',
  name: 'three-way bottom rig',
  about: 'A three-way swivel with a lighter sinker line: over rough ground a snag costs the sinker, not the fish.',
  usual: {
    name: 'Three-way bottom rig',
    sinkerKg: 0.15,
    hookSize: '4/0',
    hookPattern: 'circle',
    bait: 'cuttlefishStrip',
    snoods: 1,
  },
  draft(wishes, outfit, conditions) {
    const leader = leaderPiece(outfit, wishes.sinkerKg, conditions)
    const hookLineN = labelAtMostN(leader.strengthN)
    // Wet, a uni keeps 0.77 of the leader and an end loop 0.65 of the sinker line; the leader's own knot, 0.82 of the main line.
    const weakestAboveN = Math.min(0.77 * leader.strengthN, 0.82 * mainLine(outfit).strengthN)
    const sinkerLineN = labelAtMostN((WEAK_LINK_SHARE * weakestAboveN) / 0.65)
    return assemble(
      this.id,
      wishes,
      [
        leader,
        hardware('three-way', 'threeWay', leader.strengthN, joined(leader.id, 'uni')),
        {
          id: 'sinker-line',
          role: 'sinkerLink',
          material: 'mono',
          strengthN: sinkerLineN,
          lengthM: SINKER_LINE_M,
          attach: joined('three-way', 'uni'),
        },
        sinker(wishes.sinkerKg, conditions, joined('sinker-line', 'surgeonsLoop')),
        {
          id: 'hook-line',
          role: 'snood',
          material: 'mono',
          strengthN: hookLineN,
          lengthM: HOOK_LINE_M,
          attach: joined('three-way', 'uni'),
        },
        ...baitedHook('hook', wishes, 'hook-line'),
      ],
      { weakLink: 'sinker-line', ...clipped(sinkerLineN, wishes.sinkerKg, conditions) },
    )
  },
}

/** A sinker line too light for the cast gets a clip that carries the cast and opens on landing. */
function clipped(sinkerLineN: number, sinkerKg: number, conditions: Conditions): { releaseClips?: ReleaseClip[] } {
  if (conditions.castStyle === 'none' || sinkerLineN >= castLabelN(sinkerKg, conditions)) return {}
  const { peakN } = castLoad({ massKg: sinkerKg, ...CAST_STYLES[conditions.castStyle], peakFactor: CAST_PEAK_FACTOR })
  return { releaseClips: [{ id: 'release-clip', from: 'three-way', to: 'sinker', strengthN: labelAtLeastN(4 * peakN) }] }
}
