import { castLoad } from '../../cast/load.ts'
import { CAST_PEAK_FACTOR, CAST_STYLES } from '../../cast/styles.ts'
import { labelAtLeastN, labelAtMostN, nextLabelN } from '../../gear/labels.ts'
import { GRAVITY_M_PER_S2 } from '../../math/constants.ts'
import { type Evaluation, evaluate } from '../../moments/evaluate.ts'
import { QUANTITIES } from '../../units/quantities.ts'
import type { Conditions } from '../conditions.ts'
import { withClip } from '../edit.ts'
import { flyingMassKg } from '../mass.ts'
import { mainLine, type Outfit } from '../outfit.ts'
import { parentId, type Trace } from '../schema.ts'
import { type Basis, expand } from './expand.ts'
import type { Family, Wishes } from './family.ts'

/** What a wet, knotted mono keeps of its label in a usual eye knot. */
const WET_AND_KNOTTED = 0.9 * 0.84
/** Margin over the peak pull of a cast that a draft aims for: a little over the 3 that holds. */
const CAST_MARGIN = 3.2
/** Weak link over the weakest above it that a draft aims for: the knots' spread still lets it go first 49 times in 50. */
const WEAK_LINK_SHARE = 0.6
/** Steps of label that a draft goes up at most to make the cast hold. */
const MOST_STEPS_UP = 6
/** Share of the line class most people set, and the share of the ceiling a draft keeps to. */
const USUAL_DRAG_SHARE = 0.3
const UNDER_CEILING = 0.9
/** Line class over the weight of a fish that is lifted without a second thought. Ours. */
const EASY_LIFT = 8
/** Leader of a trace that is not cast, and turns of a cast one on the spool. */
const SHORT_LEADER_M = 3
const TURNS_ON_SPOOL = 5

type Draft = { trace: Trace; conditions: Conditions }

/**
 * A sound first draft of a family on an outfit: a leader that bears the cast, a weak link well under the rest (with a release
 * clip where it would not bear the cast), and the drag set to suit, in whole half pounds as a scale reads.
 */
export function draft(family: Family, wishes: Wishes, outfit: Outfit, given: Conditions): Draft {
  const conditions = { ...given, fishMassKg: liftedKg(family, outfit) }
  let leaderN = startingLeaderN(family, wishes, outfit, conditions)
  let trace = withWeakLink(family, wishes, outfit, conditions, leaderN)
  for (let i = 0; i < MOST_STEPS_UP && castTooHard(evaluate(trace, outfit, conditions)); i += 1) {
    leaderN = nextLabelN(leaderN, 1, 'lb')
    trace = withWeakLink(family, wishes, outfit, conditions, leaderN)
  }
  return { trace, conditions: { ...conditions, dragN: dragN(evaluate(trace, outfit, conditions), outfit) } }
}

/** What is lifted in: the family's fish, or as much as the line class lifts with ease; the rest is netted. */
function liftedKg(family: Family, outfit: Outfit): number {
  const easyKg = mainLine(outfit).strengthN / (EASY_LIFT * GRAVITY_M_PER_S2)
  return Math.min(family.fishKg, Math.max(0.5, Math.floor(easyKg * 2) / 2))
}

const castTooHard = ({ cast }: Evaluation) => cast !== undefined && cast.verdict !== 'holds'

function basisOf(outfit: Outfit, conditions: Conditions, leaderN: number, weakLinkN: number): Basis {
  const onSpoolM = TURNS_ON_SPOOL * 2 * Math.PI * outfit.reel.fullRadiusM
  const reachM = Math.ceil(2 * (conditions.dropM + outfit.rod.lengthM + onSpoolM)) / 2
  return { outfit, leaderN, weakLinkN, castReachM: conditions.castStyle === 'none' ? SHORT_LEADER_M : reachM }
}

/** The label that bears the cast of all that flies, and is near enough the main line's own. */
function startingLeaderN(family: Family, wishes: Wishes, outfit: Outfit, conditions: Conditions): number {
  const ofMainN = mainLine(outfit).strengthN * family.leaderOverMain
  if (conditions.castStyle === 'none') return labelAtLeastN(ofMainN)
  const massKg = flyingMassKg(expand(family, wishes, basisOf(outfit, conditions, ofMainN, ofMainN)))
  const { peakN } = castLoad({ massKg, ...CAST_STYLES[conditions.castStyle], peakFactor: CAST_PEAK_FACTOR })
  return labelAtLeastN(Math.max((CAST_MARGIN * peakN) / WET_AND_KNOTTED, ofMainN))
}

/** The family with its weak link, if it has one, stepped down to what goes first on a snag, and clipped where a cast needs it. */
function withWeakLink(family: Family, wishes: Wishes, outfit: Outfit, conditions: Conditions, leaderN: number): Trace {
  const at = (weakLinkN: number) => expand(family, wishes, basisOf(outfit, conditions, leaderN, weakLinkN))
  const level = at(leaderN)
  const share =
    family.weakLink && evaluate(level, outfit, conditions).snag?.paths.find((path) => path.weakLinkShare)?.weakLinkShare
  if (!share) return level
  const trace = at(labelAtMostN((leaderN * WEAK_LINK_SHARE) / share))
  const sinker = trace.pieces.find(({ role, attach }) => role === 'sinker' && parentId(attach) === trace.weakLink)
  const { cast } = evaluate(trace, outfit, conditions)
  if (!cast || !sinker || cast.verdict === 'holds') return trace
  return withClip(trace, sinker.id, labelAtLeastN(4 * cast.peakN))
}

function dragN({ run }: Evaluation, outfit: Outfit): number {
  const wantedN = Math.min(
    USUAL_DRAG_SHARE * mainLine(outfit).strengthN,
    UNDER_CEILING * (run?.figure.value ?? Number.POSITIVE_INFINITY),
  )
  const halfPoundN = QUANTITIES.strength.units.lb / 2
  return Math.max(1, Math.floor(wantedN / halfPoundN)) * halfPoundN
}
