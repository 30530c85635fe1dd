import type { RuleSet } from '../documents/ruleSet.ts'
import type { Judgement } from '../moments/judge.ts'
import { type Finding, type Rule, SEVERITY_RANK } from './finding.ts'
import { armsLength } from './rules/armsLength.ts'
import { backingDecides } from './rules/backingDecides.ts'
import { baitHalfHooked } from './rules/baitHalfHooked.ts'
import { baitSpins } from './rules/baitSpins.ts'
import { barblessRequired } from './rules/barblessRequired.ts'
import { barredParts } from './rules/barredParts.ts'
import { bentCircle } from './rules/bentCircle.ts'
import { bloodUnlike } from './rules/bloodUnlike.ts'
import { castTooHard } from './rules/castTooHard.ts'
import { chafesOnRock } from './rules/chafesOnRock.ts'
import { chainTooWeakForDrag } from './rules/chainTooWeakForDrag.ts'
import { circleRequired } from './rules/circleRequired.ts'
import { crimpBore } from './rules/crimpBore.ts'
import { deeperThanSpool } from './rules/deeperThanSpool.ts'
import { doubledLoop } from './rules/doubledLoop.ts'
import { dragOverCeiling } from './rules/dragOverCeiling.ts'
import { dragOverReel } from './rules/dragOverReel.ts'
import { dropTooLong } from './rules/dropTooLong.ts'
import { equalLabels } from './rules/equalLabels.ts'
import { fewTurns } from './rules/fewTurns.ts'
import { floatGoesUnder } from './rules/floatGoesUnder.ts'
import { fuseNotFirst } from './rules/fuseNotFirst.ts'
import { gapFilled } from './rules/gapFilled.ts'
import { hardwareOversize } from './rules/hardwareOversize.ts'
import { hardwareUndersize } from './rules/hardwareUndersize.ts'
import { heavierThanShy } from './rules/heavierThanShy.ts'
import { hookHardlyMeant } from './rules/hookHardlyMeant.ts'
import { hookKindForFish } from './rules/hookKindForFish.ts'
import { hookStraightens } from './rules/hookStraightens.ts'
import { hooksOffBait } from './rules/hooksOffBait.ts'
import { hooksOverRule } from './rules/hooksOverRule.ts'
import { hookTiresBait } from './rules/hookTiresBait.ts'
import { jointMisfits } from './rules/jointMisfits.ts'
import { kiteLeadTooLight } from './rules/kiteLeadTooLight.ts'
import { knotSlipsInBraid } from './rules/knotSlipsInBraid.ts'
import { labelSanity } from './rules/labelSanity.ts'
import { leaderFarOverMain } from './rules/leaderFarOverMain.ts'
import { leaderOutOfReach } from './rules/leaderOutOfReach.ts'
import { leaderOverRule } from './rules/leaderOverRule.ts'
import { leaderUnderRule } from './rules/leaderUnderRule.ts'
import { legsMeet } from './rules/legsMeet.ts'
import { liftTooHeavy } from './rules/liftTooHeavy.ts'
import { lighterThanTeeth } from './rules/lighterThanTeeth.ts'
import { lightNearBait } from './rules/lightNearBait.ts'
import { lineHardlyMeant } from './rules/lineHardlyMeant.ts'
import { liveBaitTwists } from './rules/liveBaitTwists.ts'
import { lowerStopSlips } from './rules/lowerStopSlips.ts'
import { lowerWeightSlower } from './rules/lowerWeightSlower.ts'
import { mainLineBreaks } from './rules/mainLineBreaks.ts'
import { mixedUnits } from './rules/mixedUnits.ts'
import { noBeadAtTip } from './rules/noBeadAtTip.ts'
import { noShockLeader } from './rules/noShockLeader.ts'
import { noWeakLink } from './rules/noWeakLink.ts'
import { offItsDepth } from './rules/offItsDepth.ts'
import { offsetBarred } from './rules/offsetBarred.ts'
import { openPointOverRock } from './rules/openPointOverRock.ts'
import { rodCastWeight } from './rules/rodCastWeight.ts'
import { rodRating } from './rules/rodRating.ts'
import { rushBreaks } from './rules/rushBreaks.ts'
import { shorterThanTail } from './rules/shorterThanTail.ts'
import { sinkerChafesKnot } from './rules/sinkerChafesKnot.ts'
import { sinkerTooLight } from './rules/sinkerTooLight.ts'
import { snoodPastSinker } from './rules/snoodPastSinker.ts'
import { snoodsMeet } from './rules/snoodsMeet.ts'
import { spoolOverfull } from './rules/spoolOverfull.ts'
import { spoolUnderfilled } from './rules/spoolUnderfilled.ts'
import { stopThroughBore } from './rules/stopThroughBore.ts'
import { swivelThroughBore } from './rules/swivelThroughBore.ts'
import { tandemAlike } from './rules/tandemAlike.ts'
import { thickKnot } from './rules/thickKnot.ts'
import { tooLongForRod } from './rules/tooLongForRod.ts'
import { tooLongToCast } from './rules/tooLongToCast.ts'
import { trailTooLong } from './rules/trailTooLong.ts'
import { trebleWithBait } from './rules/trebleWithBait.ts'
import { underLeastSize } from './rules/underLeastSize.ts'
import { weakLinkNotWeaker } from './rules/weakLinkNotWeaker.ts'
import { weakLinkTooThinToCast } from './rules/weakLinkTooThinToCast.ts'
import { weightPartsFromLure } from './rules/weightPartsFromLure.ts'
import { wireTooLight } from './rules/wireTooLight.ts'
import { wornLine } from './rules/wornLine.ts'
import { tellOnce } from './tellOnce.ts'

const RULES: readonly Rule[] = [
  armsLength,
  backingDecides,
  baitSpins,
  bentCircle,
  bloodUnlike,
  castTooHard,
  chainTooWeakForDrag,
  crimpBore,
  dragOverCeiling,
  dragOverReel,
  dropTooLong,
  equalLabels,
  fewTurns,
  floatGoesUnder,
  fuseNotFirst,
  gapFilled,
  hardwareOversize,
  hardwareUndersize,
  heavierThanShy,
  hookHardlyMeant,
  hookKindForFish,
  hookStraightens,
  hooksOffBait,
  hookTiresBait,
  jointMisfits,
  knotSlipsInBraid,
  kiteLeadTooLight,
  labelSanity,
  legsMeet,
  liftTooHeavy,
  lighterThanTeeth,
  lineHardlyMeant,
  lightNearBait,
  leaderOutOfReach,
  leaderUnderRule,
  lowerStopSlips,
  lowerWeightSlower,
  mainLineBreaks,
  mixedUnits,
  noBeadAtTip,
  noShockLeader,
  offItsDepth,
  rodCastWeight,
  rodRating,
  rushBreaks,
  shorterThanTail,
  leaderOverRule,
  hooksOverRule,
  circleRequired,
  offsetBarred,
  barblessRequired,
  trebleWithBait,
  deeperThanSpool,
  doubledLoop,
  barredParts,
  sinkerChafesKnot,
  sinkerTooLight,
  snoodPastSinker,
  snoodsMeet,
  spoolOverfull,
  spoolUnderfilled,
  stopThroughBore,
  swivelThroughBore,
  thickKnot,
  trailTooLong,
  tandemAlike,
  tooLongForRod,
  underLeastSize,
  weakLinkNotWeaker,
  weakLinkTooThinToCast,
  wornLine,
  baitHalfHooked,
  chafesOnRock,
  leaderFarOverMain,
  liveBaitTwists,
  noWeakLink,
  openPointOverRock,
  tooLongToCast,
  weightPartsFromLure,
  wireTooLight,
]

/** How much worse a figure set aside must get to come back: more than rounding. */
const WORSE = 1e-6

/** Every finding of a judged setup, each cause once, the worst first; among equals in the order of the rules. */
export function advise(judgement: Judgement, ruleSet?: RuleSet): Finding[] {
  const { setAside } = judgement.setup.trace
  const judged = { ...judgement, ruleSet }
  const findings = RULES.flatMap(({ id: rule, explains = [], check }) =>
    check(judged).map((found): Finding => {
      const { subject } = found
      const id = subject === undefined ? rule : `${rule}: ${subject}`
      const kept = setAside?.find(({ finding }) => finding === id)
      const aside = kept !== undefined && found.figure <= kept.figure * (1 + WORSE)
      const about = found.about ?? (subject === undefined ? [] : [subject])
      return { ...found, rule, id, about, explains, effects: [], ...(aside ? { aside: kept.reason } : {}) }
    }),
  )
  return tellOnce(findings).toSorted((a, b) => SEVERITY_RANK[b.severity] - SEVERITY_RANK[a.severity])
}

export const RULE_IDS: readonly string[] = RULES.map(({ id }) => id)
