import { labelAtLeastN, labelAtMostN, nextLabelN } from '../catalogue/labels.ts'
import type { Target } from '../documents/fish.ts'
import { teethN } from '../moments/biteOff.ts'
import { BUTT_ABOVE_FEET_M, HAND_ABOVE_FEET_M } from '../moments/hand.ts'
import { borneN, handLimits } from '../moments/landed.ts'
import { capital } from '../units/capital.ts'
import { length, type Phrase, say, strength } from '../units/phrase.ts'
import { LB } from '../units/quantities.ts'
import type { Purpose } from './purpose.ts'

/** What a wet, knotted mono keeps of its label in a usual eye knot. */
export const WET_AND_KNOTTED = 0.9 * 0.84
/** Label that a rough skin and tail ask of what they rub along, N per √kg, and its length over that of a large one. Nominal, ours. */
const TAIL_N_PER_ROOT_KG = 15 * LB
const TAIL_OVER_LENGTH = 1.1
/** Strongest label that a shy fish takes although it sees the line, N per √kg. Nominal, ours. */
const SHY_N_PER_ROOT_KG = 14 * LB
/** Leader over main line where the ground chafes. Nominal, ours. */
export const ON_ROUGH_GROUND = 1.25
/** Leader between braid and a fish that sees it, m. Nominal, ours. */
const SEEN_M = 1.5
/** Labels nearer to each other than this are equal. */
const ALIKE = 0.01

/**
 * What a family and a cast bring to it: its usual label, N, and length, m; whether it comes in through the guides; and what the cast
 * asks for, nothing where it is not cast.
 */
export type LeaderUse = { usualN: number; usualM: number; onReel?: boolean; castN?: number; castM?: number }

/** What speaks about the leader’s strength, its length, or the strength of the line at the hook; `least` before `most` before `usual`. */
export type LeaderReason = {
  of: 'strength' | 'length' | 'atHook'
  bound: 'usual' | 'wish' | 'least' | 'most' | 'rule'
  si: number
  why: Phrase
}

export type LeaderAdvice = {
  /** Label, N, and length, m, from the main line to the hook. */
  labelN: number
  lengthM: number
  /** Label of the line that the hook is on, N; 0 where nothing is asked of it. Wire, a long shank or linked hooks stand for it. */
  atHookN: number
  reasons: LeaderReason[]
  /** Where one reason asks for more than another allows, and which was followed. */
  conflicts: Phrase[]
}

/**
 * Strength and length of a leader by what it is for. What must be (cast, hands, tail, teeth) goes before what a shy fish accepts, and
 * that before what is usual or the ground would like; a rule in force is never broken. It falls with none of teeth, ground and fish size.
 * Source: ours, on the craft’s two schools: heavier than the main line where chafe or casting decide, lighter where sight decides.
 */
export function leaderFor(purpose: Purpose, use: LeaderUse): LeaderAdvice {
  const reasons = [...strengthReasons(purpose, use), ...lengthReasons(purpose, use), ...atHookReasons(purpose)]
  const labels = bounds(reasons, 'strength')
  const lengths = bounds(reasons, 'length')
  const labelN = labelOf(purpose, use, labels)
  return {
    labelN,
    lengthM: Math.min(lengths.rule, wanted(lengths)),
    atHookN: bounds(reasons, 'atHook').least,
    reasons,
    conflicts: [
      ...(labelN > labels.most
        ? [
            say`It needs a label of ${strength(labelN)}, but a shy fish accepts up to ${strength(labels.most)}. Expect fewer bites.`,
          ]
        : []),
      ...(lengths.least > lengths.rule
        ? [say`It needs ${length(lengths.least)}, but your rule set allows ${length(lengths.rule)}.`]
        : []),
    ],
  }
}

type Bounds = Record<LeaderReason['bound'], number>

function bounds(reasons: readonly LeaderReason[], of: LeaderReason['of']): Bounds {
  const all = (bound: LeaderReason['bound']) =>
    reasons.filter((each) => each.of === of && each.bound === bound).map(({ si }) => si)
  return {
    usual: Math.max(0, ...all('usual')),
    wish: Math.max(0, ...all('wish')),
    least: Math.max(0, ...all('least')),
    most: Math.min(Number.POSITIVE_INFINITY, ...all('most')),
    rule: Math.min(Number.POSITIVE_INFINITY, ...all('rule')),
  }
}

const wanted = ({ usual, wish, least, most }: Bounds) => Math.max(least, Math.min(most, Math.max(usual, wish)))

/** The label for it: under what a shy fish accepts where it may be, and not equal to the main line’s unless that is usual. */
function labelOf({ mainN }: Purpose, { usualN }: LeaderUse, labels: Bounds): number {
  const wantedN = wanted(labels)
  const under = labelAtMostN(labels.most)
  const labelN = labelAtLeastN(wantedN) > labels.most && under >= labels.least ? under : labelAtLeastN(wantedN)
  if (Math.abs(labelN / mainN - 1) > ALIKE || wantedN <= usualN) return labelN
  const [up, down] = [nextLabelN(labelN, 1, 'lb'), nextLabelN(labelN, -1, 'lb')]
  if (up <= labels.most || down < labels.least) return up
  // Below what is usual it would be weaker for being asked for more.
  return down >= usualN ? down : labelN
}

const rootKg = ({ typicalMassKg }: Target) => Math.sqrt(typicalMassKg)

/** Line between hook and main that a fish’s tail asks for, m; 0 where it does not reach. */
export const tailM = ({ fights, largeLengthM }: Target): number => (fights.includes('tail') ? TAIL_OVER_LENGTH * largeLengthM : 0)
/** Strongest label that the fish takes although it sees the line, N; endless where it does not mind. */
export const shyMostN = (purpose: Purpose): number =>
  isShy(purpose) ? SHY_N_PER_ROOT_KG * rootKg(purpose.target) : Number.POSITIVE_INFINITY
/** Label that a hand on the line asks for, N: what is landed as often over as a hand asks, wet and knotted. */
const handsN = ({ landing, fishMassKg }: Purpose): number =>
  (handLimits(landing).holds * borneN(landing, fishMassKg)) / WET_AND_KNOTTED

/** Whether a fish sees a line: in clear water by day. What nobody said is taken to be so. */
const isSeen = ({ clarity, light }: Purpose) => clarity !== 'coloured' && light !== 'night'
const isShy = (purpose: Purpose): purpose is Purpose & { target: Target } => purpose.target?.lineShy === true && isSeen(purpose)
/** Whether the ground chafes: where it is fished, or where the fish goes. */
const isRough = ({ bed, target }: Purpose) => bed === 'rock' || target?.feeds === 'rough'

function strengthReasons(purpose: Purpose, { usualN, castN }: LeaderUse): LeaderReason[] {
  const { mainN, target, landing, fishMassKg } = purpose
  const { reasons, because } = collected('strength')
  because('usual', usualN, say`${strength(usualN)} is usual with this trace and main line.`)
  if (castN !== undefined) because('least', castN, say`The cast asks for ${strength(castN)}.`)
  if (isRough(purpose)) {
    const si = ON_ROUGH_GROUND * mainN
    because('wish', si, say`Rough ground chafes: a quarter over the main line, ${strength(si)}.`)
  }
  if (!target) return reasons
  if (landing.byHand) {
    const si = handsN(purpose)
    because(
      'least',
      si,
      say`A hand takes it: ${strength(si)}, wet and knotted, holds a fish of ${{ quantity: 'fish', si: fishMassKg }} as it is landed.`,
    )
  }
  if (target.fights.includes('tail')) {
    const si = TAIL_N_PER_ROOT_KG * rootKg(target)
    because('least', si, say`Skin and tail of ${target.name} rub on it: ${strength(si)}.`)
  }
  if (isShy(purpose)) {
    const si = shyMostN(purpose)
    because('most', si, say`${capital(target.name)} minds line in clear water by day: up to ${strength(si)}.`)
  }
  return reasons
}

function lengthReasons(purpose: Purpose, { usualM, onReel, castM }: LeaderUse): LeaderReason[] {
  const { target, landing, freeboardM, rodLengthM, braid, ruleSet } = purpose
  const { reasons, because } = collected('length')
  because('usual', usualM, say`${length(usualM)} is usual with this trace.`)
  if (castM !== undefined)
    because('least', castM, say`Cast, it reaches from the sinker to some turns on the spool: ${length(castM)}.`)
  else if (!onReel && landing.beyondRodM !== undefined) {
    const si = freeboardM + BUTT_ABOVE_FEET_M + rodLengthM + landing.beyondRodM
    because('most', si, say`The rod held up reaches ${length(si)} to the person who lands the fish.`)
  }
  if (landing.byHand && braid) {
    const si = freeboardM + HAND_ABOVE_FEET_M
    because('least', si, say`A hand at the edge takes hold ${length(si)} up from the hook, and not of braid.`)
  }
  if (target?.fights.includes('tail')) {
    const si = tailM(target)
    because('least', si, say`The tail of ${target.name} reaches the line: longer than a large one, ${length(si)}.`)
  }
  if (isShy(purpose) && braid) because('wish', SEEN_M, say`Braid is seen: ${length(SEEN_M)} or more of leader below it.`)
  if (ruleSet?.maxLeaderM !== undefined)
    because('rule', ruleSet.maxLeaderM, say`“${ruleSet.name}” allows ${length(ruleSet.maxLeaderM)}.`)
  return reasons
}

function atHookReasons(purpose: Purpose): LeaderReason[] {
  const { target, landing } = purpose
  const { reasons, because } = collected('atHook')
  if (!target) return reasons
  if (landing.byHand) because('least', handsN(purpose), say`A hand takes hold of it too: ${strength(handsN(purpose))}.`)
  if (target.teeth !== 'none')
    because(
      'least',
      teethN(target),
      say`${capital(target.name)} has ${target.teeth} teeth: ${strength(teethN(target))} of mono at the hook.`,
    )
  return reasons
}

function collected(of: LeaderReason['of']) {
  const reasons: LeaderReason[] = []
  return { reasons, because: (bound: LeaderReason['bound'], si: number, why: Phrase) => reasons.push({ of, bound, si, why }) }
}

/** A leader against its main line, and what that makes the fuse. */
export function leaderBeside(labelN: number, mainN: number): 'lighter' | 'equal' | 'heavier' {
  if (Math.abs(labelN / mainN - 1) <= ALIKE) return 'equal'
  return labelN < mainN ? 'lighter' : 'heavier'
}

/** What each of the three makes the fuse, and what it is for: both schools. */
export const FUSE_OF_LEADER = {
  lighter: 'Lighter than the main line: the leader breaks first, and you lose only the trace. Good for shy fish and snags.',
  equal: 'Equal to the main line: there is no fuse, so any knot can break first.',
  heavier: 'Heavier than the main line: for abrasion, teeth, the cast and hands. The main line or its knot then breaks first.',
} as const
