import { CAST_PEAK_FACTOR } from '../catalogue/castStyles.ts'
import type { Catalogue } from '../catalogue/catalogue.ts'
import { labelAtLeastN, labelAtMostN, nextLabelN } from '../catalogue/labels.ts'
import { spoolRadii } from '../catalogue/reels.ts'
import type { Conditions } from '../documents/conditions.ts'
import type { Outfit } from '../documents/outfit.ts'
import { isLine, parentId } from '../documents/pieces.ts'
import type { RuleSet } from '../documents/ruleSet.ts'
import type { Trace } from '../documents/trace.ts'
import { withClip, withLength } from '../edit/changes.ts'
import { judge } from '../moments/judge.ts'
import { CAST_OVER_PEAK, NEAR_THE_RULE } from '../moments/thresholds.ts'
import { mainLine } from '../outfits/outfitLines.ts'
import { castLoad } from '../physics/cast/load.ts'
import { easyFishKg } from '../purpose/assumed.ts'
import { type LeaderAdvice, leaderFor, WET_AND_KNOTTED } from '../purpose/leader.ts'
import { purposeOf } from '../purpose/purpose.ts'
import { DEFAULT_DRAG_SHARE } from '../setup/drag.ts'
import { flyingMassKg } from '../setup/masses.ts'
import type { Owned } from '../setup/owned.ts'
import { prepareSetup } from '../setup/prepareSetup.ts'
import type { Setup } from '../setup/setup.ts'
import { endsOf, lineAlongM, pathToPiece } from '../soundness/paths.ts'
import { type Basis, expand } from './expand.ts'
import { defaultWishes, type Family, type UserChoices, type Wishes } from './family.ts'
import { forFish, suggestedHook } from './forFish.ts'
import { kiteLeadFor, movingFor, settledMoving } from './movingFor.ts'
import { sinkerFor } from './sinkerFor.ts'

/** Margin over the peak pull of a cast that a draft aims for: a little over what holds. */
const CAST_MARGIN = CAST_OVER_PEAK.holds + 0.2
/** Weak link over the weakest above it that a draft aims for: the knots' spread still lets it go first 49 times in 50. */
const WEAK_LINK_SHARE = 0.6
/** A setup whose drag follows its chain. */
const following = (setup: Setup): Setup => ({ ...setup, conditions: { ...setup.conditions, dragAssumed: true } })

/** Steps of label that a draft goes up at most to make the cast hold. */
const MAX_STEPS_UP = 6
/** Leader of a trace that is not cast, and turns of a cast one on the spool. */
const SHORT_LEADER_M = 3
/** A leader is no shorter than can be tied, m. */
const SHORTEST_M = 0.3
const TURNS_ON_SPOOL = 5

export type Draft = {
  trace: Trace
  conditions: Conditions
  /** What it was made with, where nobody said. */
  wishes: Wishes
  /** Of the leader: what was asked of it and why. */
  leader: LeaderAdvice
}

/** What a draft is made for: a family and what a person said of it; and what it is made with. */
export type Order = {
  family: Family
  said: UserChoices
  outfit: Outfit
  conditions: Conditions
  catalogue: Catalogue
  ruleSet?: RuleSet | undefined
  /** Sinkers at hand; without any, of whatever weight is wanted. */
  sinkers?: readonly Owned[] | undefined
}

type SettledOrder = Order & { wishes: Wishes }

/**
 * A sound first draft of a family on an outfit: a leader by what it is for that bears the cast, a weak link well under the rest (with
 * a release clip where it would not bear the cast), and the drag set to suit, in whole half pounds as a scale reads. With a fish in
 * the conditions, bait, hook and what stands against teeth are its; with water, the sinker holds in it; what is towed, wound in or flown
 * has the line out, the depth or the lead that does it.
 */
export function draft(given: Order): Draft {
  const { family, said, outfit, conditions, catalogue } = given
  const { target, water } = conditions
  const order: SettledOrder = {
    ...given,
    conditions: {
      ...conditions,
      ...(target ? {} : { fishMassKg: Math.min(family.fishKg, easyFishKg(outfit)), fishAssumed: true }),
      dragN: DEFAULT_DRAG_SHARE * mainLine(outfit).strengthN,
      ...(family.moves && !conditions.moving ? { moving: movingFor(family.moves, conditions) } : {}),
    },
    wishes: {
      ...defaultWishes(family),
      ...(target ? forFish({ ...given, purpose: purposeOf(given, given.ruleSet) }) : {}),
      ...said,
    },
  }
  let made = madeWith(order)
  const change = (wishes: Partial<Wishes>) => {
    order.wishes = { ...order.wishes, ...wishes }
    made = madeWith(order)
  }
  const hook = said.hookSize === undefined ? suggestedHook(setupOf(order, made.trace)) : undefined
  if (hook && (hook.size !== order.wishes.hookSize || hook.pattern !== order.wishes.hookPattern))
    change({ hookSize: hook.size, hookPattern: hook.pattern })
  const usual = family.parameters.find(({ key }) => key === 'sinkerKg')
  const { moving } = order.conditions
  if (moving?.way === 'kite' && usual && said.amounts?.sinkerKg === undefined) {
    const leadKg = kiteLeadFor(
      setupOf(order, made.trace),
      moving,
      given.sinkers?.map(({ massKg }) => massKg),
    )
    if (leadKg !== undefined) change({ amounts: { ...order.wishes.amounts, sinkerKg: Math.min(usual.most, leadKg) } })
  } else if (water && usual && said.amounts?.sinkerKg === undefined) {
    const sinker = sinkerFor(setupOf(order, made.trace), usual.usual, given.sinkers)
    if (sinker)
      change({
        amounts: { ...order.wishes.amounts, sinkerKg: Math.min(usual.most, sinker.massKg) },
        ...(sinker.shape ? { sinkerShape: sinker.shape } : {}),
      })
  }
  const setup = { trace: made.trace, outfit, conditions: order.conditions, catalogue }
  return {
    ...made,
    wishes: order.wishes,
    conditions: {
      ...order.conditions,
      dragN: prepareSetup(following(setup)).conditions.dragN,
      ...(moving ? { moving: settledMoving(setup, moving) } : {}),
    },
  }
}

/** What a family looks like on an outfit, to be told from the others: its parts in order, with nothing made to suit. */
export function sketch(family: Family, outfit: Outfit, catalogue: Catalogue): Trace {
  const leaderN = labelAtLeastN(mainLine(outfit).strengthN * family.leaderOverMain)
  return expand(family, defaultWishes(family), {
    ...{ outfit, catalogue, leaderN, weakLinkN: leaderN },
    ...{ castReachM: SHORT_LEADER_M, atHookN: 0 },
  })
}

const setupOf = ({ outfit, conditions, catalogue }: Order, trace: Trace): Setup => ({ trace, outfit, conditions, catalogue })

function castTooHard(setup: Setup): boolean {
  const { cast } = judge(setup, ['cast']).moments
  return cast !== undefined && cast.verdict !== 'holds'
}

/** The trace with its leader: as advised, as said, or as strong as the cast asks for. */
function madeWith(order: SettledOrder): Pick<Draft, 'trace' | 'leader'> {
  const { family, wishes, said, outfit, conditions, ruleSet } = order
  const isCast = conditions.castStyle !== 'none'
  const usualN = mainLine(outfit).strengthN * family.leaderOverMain
  const level: Basis = { ...startingBasis(order), leaderN: usualN, weakLinkN: usualN }
  const usual = expand(family, wishes, level)
  const usualM = toHookM(usual)
  const reachesReel = isCast && family.rows.some((row) => 'line' in row && row.lengthM === 'castReach')
  const leader = leaderFor(purposeOf(order, ruleSet), {
    usualN,
    usualM,
    onReel: reachesReel || usualM > outfit.rod.lengthM + conditions.freeboardM,
    ...(isCast ? { castN: castLabelN(order, usual) } : {}),
    ...(reachesReel ? { castM: level.castReachM } : {}),
  })
  const basis = {
    ...level,
    atHookN: wishes.bite === 'none' ? labelAtLeastN(leader.atHookN) : 0,
  }
  const longerM = usualM === 0 ? 0 : leader.lengthM - usualM
  let leaderN = said.leaderN ?? leader.labelN
  let trace = withWeakLink(order, { ...basis, leaderN }, longerM)
  for (let i = 0; i < MAX_STEPS_UP && castTooHard(setupOf(order, trace)); i += 1) {
    leaderN = nextLabelN(leaderN, 1, 'lb')
    trace = withWeakLink(order, { ...basis, leaderN }, longerM)
  }
  return { trace, leader }
}

/** What a leader is expanded with before anything speaks about it. */
function startingBasis({ outfit, conditions, catalogue }: Order): Omit<Basis, 'leaderN' | 'weakLinkN'> {
  const onSpoolM = TURNS_ON_SPOOL * 2 * Math.PI * spoolRadii(outfit.reel).fullRadiusM
  const reachM = Math.ceil(2 * (conditions.dropM + outfit.rod.lengthM + onSpoolM)) / 2
  return { outfit, catalogue, castReachM: conditions.castStyle === 'none' ? SHORT_LEADER_M : reachM, atHookN: 0 }
}

/** The trace with its leader so much longer, or shorter; what rides on it keeps its share of the way. */
function withLeader(trace: Trace, longerM: number): Trace {
  const leader = trace.pieces.filter(isLine).find(({ role }) => role === 'leader')
  return leader && longerM !== 0 ? withLength(trace, leader.id, Math.max(SHORTEST_M, leader.lengthM + longerM)) : trace
}

/** From the outfit’s line to the first hook or lure, m. */
export function toHookM(trace: Trace): number {
  const end = endsOf(trace).find(({ role }) => role !== 'sinker')
  return end ? lineAlongM(pathToPiece(trace, end.id)) : 0
}

/** The label that bears the cast of all that flies, by the model and, for a full cast with a leader that reaches the reel, near the shore angler’s rule. */
function castLabelN({ outfit, conditions, catalogue }: Order, trace: Trace): number {
  const { castStyle } = conditions
  if (castStyle === 'none') return 0
  const massKg = flyingMassKg({ trace, catalogue })
  const { peakN, ruleN } = castLoad({ massKg, ...catalogue.castStyles[castStyle], peakFactor: CAST_PEAK_FACTOR })
  const reaches = trace.pieces.some((piece) => piece.role === 'leader' && piece.lengthM > outfit.rod.lengthM + conditions.dropM)
  return Math.max((CAST_MARGIN * peakN) / WET_AND_KNOTTED, reaches && castStyle !== 'lob' ? NEAR_THE_RULE * ruleN : 0)
}

/** The family with its weak link, if it has one, stepped down to what goes first on a snag, and clipped where a cast needs it. */
function withWeakLink(order: SettledOrder, basis: Omit<Basis, 'weakLinkN'>, longerM: number): Trace {
  const { family, wishes } = order
  const { leaderN } = basis
  const at = (weakLinkN: number) => withLeader(expand(family, wishes, { ...basis, weakLinkN }), longerM)
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
