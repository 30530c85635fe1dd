import { CAST_PEAK_FACTOR } from '../catalogue/castStyles.ts'
import type { Catalogue } from '../catalogue/catalogue.ts'
import { labelAtLeastN, labelAtMostN, nextLabelN } from '../catalogue/labels.ts'
import { spoolRadii } from '../catalogue/reels.ts'
import type { Conditions } from '../documents/conditions.ts'
import type { Outfit } from '../documents/outfit.ts'
import { parentId } from '../documents/pieces.ts'
import type { Trace } from '../documents/trace.ts'
import { withClip } from '../edit/changes.ts'
import { GRAVITY_M_PER_S2 } from '../math/constants.ts'
import { judge } from '../moments/judge.ts'
import { CAST_OVER_PEAK, NEAR_THE_RULE } from '../moments/thresholds.ts'
import { castLoad } from '../physics/cast/load.ts'
import { flyingMassKg } from '../setup/masses.ts'
import { mainLine } from '../setup/outfitLines.ts'
import type { Setup } from '../setup/setup.ts'
import { withinHalfPoundsN } from '../units/halfPounds.ts'
import { QUANTITIES } from '../units/quantities.ts'
import { type Basis, expand } from './expand.ts'
import { defaultWishes, type Family, type Wishes } from './family.ts'

/** What a wet, knotted mono keeps of its label in a usual eye knot. */
const WET_AND_KNOTTED = 0.9 * 0.84
/** Margin over the peak pull of a cast that a draft aims for: a little over what holds. */
const CAST_MARGIN = CAST_OVER_PEAK.holds + 0.2
/** Weak link over the weakest above it that a draft aims for: the knots' spread still lets it go first 49 times in 50. */
const WEAK_LINK_SHARE = 0.6
/** Steps of label that a draft goes up at most to make the cast hold. */
const MOST_STEPS_UP = 6
/** Share of the line class most people set, and the share of the ceiling a draft keeps to. */
const DEFAULT_DRAG_SHARE = 0.3
const UNDER_CEILING = 0.9
/** Line class over the weight of a fish that is lifted without a second thought. Ours. */
const EASY_LIFT = 8
/** Leader of a trace that is not cast, and turns of a cast one on the spool. */
const SHORT_LEADER_M = 3
const TURNS_ON_SPOOL = 5

type Draft = { trace: Trace; conditions: Conditions }

/** What a draft is made for: the family and the wishes, and the outfit, the conditions and the catalogue it is made with. */
type Order = { family: Family; wishes: Wishes; outfit: Outfit; conditions: Conditions; catalogue: Catalogue }

/**
 * A sound first draft of a family on an outfit: a leader that bears the cast, a weak link well under the rest (with a release
 * clip where it would not bear the cast), and the drag set to suit, in whole half pounds as a scale reads.
 */
export function draft(given: Order): Draft {
  const conditions = { ...given.conditions, fishMassKg: liftedKg(given) }
  const order = { ...given, conditions }
  let leaderN = startingLeaderN(order)
  let trace = withWeakLink(order, leaderN)
  for (let i = 0; i < MOST_STEPS_UP && castTooHard(setupOf(order, trace)); i += 1) {
    leaderN = nextLabelN(leaderN, 1, 'lb')
    trace = withWeakLink(order, leaderN)
  }
  return { trace, conditions: { ...conditions, dragN: dragN(setupOf(order, trace)) } }
}

/** What a family looks like on an outfit, to be told from the others: its parts in order, with nothing made to suit. */
export function sketch(family: Family, outfit: Outfit, catalogue: Catalogue): Trace {
  const leaderN = labelAtLeastN(mainLine(outfit).strengthN * family.leaderOverMain)
  return expand(family, defaultWishes(family), { outfit, catalogue, leaderN, weakLinkN: leaderN, castReachM: SHORT_LEADER_M })
}

const setupOf = ({ outfit, conditions, catalogue }: Order, trace: Trace): Setup => ({ trace, outfit, conditions, catalogue })

/** What is lifted in: the family's fish, or as much as the line class lifts with ease; the rest is netted. */
function liftedKg({ family, outfit }: Order): number {
  const easyKg = mainLine(outfit).strengthN / (EASY_LIFT * GRAVITY_M_PER_S2)
  return Math.min(family.fishKg, Math.max(0.5, Math.floor(easyKg * 2) / 2))
}

function castTooHard(setup: Setup): boolean {
  const { cast } = judge(setup, ['cast']).moments
  return cast !== undefined && cast.verdict !== 'holds'
}

function basisOf({ outfit, conditions, catalogue }: Order, leaderN: number, weakLinkN: number): Basis {
  const onSpoolM = TURNS_ON_SPOOL * 2 * Math.PI * spoolRadii(outfit.reel).fullRadiusM
  const reachM = Math.ceil(2 * (conditions.dropM + outfit.rod.lengthM + onSpoolM)) / 2
  return { outfit, catalogue, leaderN, weakLinkN, castReachM: conditions.castStyle === 'none' ? SHORT_LEADER_M : reachM }
}

/** The label that bears the cast of all that flies, and is near enough the main line's own. */
function startingLeaderN(order: Order): number {
  const { family, wishes, outfit, conditions, catalogue } = order
  const ofMainN = mainLine(outfit).strengthN * family.leaderOverMain
  if (conditions.castStyle === 'none') return labelAtLeastN(ofMainN)
  const trace = expand(family, wishes, basisOf(order, ofMainN, ofMainN))
  const massKg = flyingMassKg({ trace, catalogue })
  const { peakN, ruleN } = castLoad({ massKg, ...catalogue.castStyles[conditions.castStyle], peakFactor: CAST_PEAK_FACTOR })
  // The shore angler’s rule is for a full cast, and for a leader that reaches the reel.
  const reaches = trace.pieces.some((piece) => piece.role === 'leader' && piece.lengthM > outfit.rod.lengthM + conditions.dropM)
  const byRuleN = reaches && conditions.castStyle !== 'lob' ? NEAR_THE_RULE * ruleN : 0
  const labelN = labelAtLeastN(Math.max((CAST_MARGIN * peakN) / WET_AND_KNOTTED, ofMainN, byRuleN))
  // As strong as the main line it would leave it to chance which of them goes.
  return byRuleN > ofMainN && Math.abs(labelN / mainLine(outfit).strengthN - 1) < 0.01 ? nextLabelN(labelN, 1, 'lb') : labelN
}

/** The family with its weak link, if it has one, stepped down to what goes first on a snag, and clipped where a cast needs it. */
function withWeakLink(order: Order, leaderN: number): Trace {
  const { family, wishes } = order
  const at = (weakLinkN: number) => expand(family, wishes, basisOf(order, leaderN, weakLinkN))
  const level = at(leaderN)
  if (!family.weakLink) return level
  const share = judge(setupOf(order, level), ['snag']).moments.snag?.paths.find((path) => path.weakLinkShare)?.weakLinkShare
  if (!share) return level
  const trace = at(labelAtMostN((leaderN * WEAK_LINK_SHARE) / share))
  const sinker = trace.pieces.find(({ role, attach }) => role === 'sinker' && parentId(attach) === trace.weakLink)
  const { cast } = judge(setupOf(order, trace), ['cast']).moments
  if (!cast || !sinker || cast.verdict === 'holds') return trace
  return withClip(trace, sinker.id, labelAtLeastN(4 * cast.peakN))
}

function dragN(setup: Setup): number {
  const { run } = judge(setup, ['run']).moments
  const wantedN = Math.min(
    DEFAULT_DRAG_SHARE * mainLine(setup.outfit).strengthN,
    UNDER_CEILING * (run?.figure.value ?? Number.POSITIVE_INFINITY),
  )
  return Math.max(withinHalfPoundsN(wantedN), QUANTITIES.strength.units.lb / 2)
}
