import type { FishingMode } from '../catalogue/familyIds.ts'
import { lineDiameterM } from '../catalogue/materials.ts'
import { isCastMethod } from '../catalogue/methods.ts'
import { pieceRef } from '../documents/linkRef.ts'
import type { Moving } from '../documents/moving.ts'
import { CoreError } from '../errors.ts'
import { GRAVITY_M_PER_S2 } from '../math/constants.ts'
import { freeLine } from '../outfits/outfitLines.ts'
import { waterSink } from '../physics/water/sink.ts'
import { fishingModeOf } from '../setup/fishingMode.ts'
import type { PreparedSetup } from '../setup/prepareSetup.ts'
import { type FreeLine, freeLineOf } from '../setup/settling/freeLine.ts'
import { atStream, holdsToMperS, minimumSinker } from '../setup/settling/minimumSinker.ts'
import { type OnFloat, onFloat } from '../setup/settling/onFloat.ts'
import { baitAreaM2, nominalGrip, type Settling, settlingOf } from '../setup/settling/settling.ts'
import { type Falling, sinkOrder } from '../setup/settling/sinkOrder.ts'
import { lineInput, shoreInput, sinkInput, uptideInput } from '../setup/settling/solverInputs.ts'
import { type Twist, twistsOf } from '../setup/settling/twist.ts'
import { leastToReachKg } from './flying.ts'
import { type CalculationRequest, gradeAtLeast, type Input, type MomentKind, type MomentResult, type Verdict } from './moment.ts'
import { judgeMoving, type MovingSettled, movingRequests } from './settleMoving.ts'
import { FLOAT_OVER_LOAD, PART_OF_THE_TIDE } from './thresholds.ts'

/** What is meant to hold, against what holds. */
export type Holding = {
  /** The least that holds at the peak, and with the method's reserve; undefined where none does. */
  neededKg?: number
  wantedKg?: number
  reserve: number
  /** The stream up to which it holds with the reserve; undefined where that is not known. */
  holdsToMperS?: number
  /** The same at the peak of neaps, where that is known. */
  atNeaps?: { streamMperS: number; wantedKg?: number; verdict: Verdict }
  /** The least that the cast carries as far as it is fished, where that is more than what holds; undefined where nothing reaches. */
  toReachKg?: number
  /** What keeps it from being calculated, in a sentence. */
  trouble?: string
}

export type Settle = MomentResult<'settle'> & {
  /** How its end is meant to fish; undefined where nobody said, of what moves with its line. */
  fishes: FishingMode | undefined
  /** Baits that spin in the stream, and what takes their twist. */
  twists: Twist[]
} & (
    | SettleBasis
    | { moved: MovingSettled; settling?: never; holding?: never; onFloat?: never; free?: never; sinkS?: never; falling?: never }
  )

type SettleBasis = {
  moved?: never
  /** What was asked about; `lineShapeOf` draws it. */
  settling: Settling
  /** By how it is meant to fish, one of the three: on the bottom, under a float, free. */
  holding?: Holding
  onFloat?: OnFloat
  free?: FreeLine
  /** Undefined for what does not sink. */
  sinkS?: number
  /** Two weights on lines of their own, as they fall. */
  falling?: { lower: Falling; upper: Falling }
}

/** Whether the weight reaches the bottom and holds there at the stream's peak. */
export const SETTLE: MomentKind<Settle> = {
  judge: judgeSettle,
  derive: deriveSettle,
  levers: [
    { of: 'water', field: 'depthM', quantity: 'length' },
    { of: 'water', field: 'streamMperS', quantity: 'speed' },
    { of: 'water', field: 'distanceM', quantity: 'length' },
    { of: 'water', field: 'scope', quantity: 'ratio' },
    { of: 'water', field: 'driftMperS', quantity: 'speed' },
    { of: 'moving', field: 'speedMperS', quantity: 'speed' },
    { of: 'moving', field: 'lineOutM', quantity: 'length' },
    { of: 'moving', field: 'windMperS', quantity: 'speed' },
    { of: 'moving', field: 'slack', quantity: 'ratio' },
  ],
}

/**
 * By how it is meant to fish, or, where its line moves, by where that takes it. Undefined without water to settle in, where nobody
 * said how it is meant to fish, or with nothing that takes it down.
 */
function judgeSettle(setup: PreparedSetup): Settle | undefined {
  const { moving } = setup.conditions
  return moving ? movingSettle(setup, moving) : inWater(setup)
}

function movingSettle(setup: PreparedSetup, moving: Moving): Settle | undefined {
  const usual = setup.ends[0]?.id
  const { end = usual, ...judged } = judgeMoving(setup, moving)
  if (end === undefined) return undefined
  return { moment: 'settle', fishes: fishingModeOf(setup.trace), end, decides: pieceRef(end), twists: twistsOf(setup), ...judged }
}

function inWater(setup: PreparedSetup): Settle | undefined {
  const { water } = setup.conditions
  const settling = water && settlingOf(setup, water)
  if (!settling) return undefined
  const fishes = fishingModeOf(setup.trace)
  if (fishes === undefined) return undefined
  const judged = judgedBy(fishes, settling)
  if (!judged) return undefined
  const sinkS = sinkTimeS(settling)
  const falling = sinkOrder(setup)
  return {
    moment: 'settle',
    fishes,
    end: settling.weight.id,
    settling,
    twists: twistsOf(setup),
    ...(sinkS === undefined ? {} : { sinkS }),
    ...(falling ? { falling } : {}),
    ...judged,
    decides: pieceRef(judged.onFloat?.id ?? settling.weight.id),
    inputs: [...waterInputs(settling), ...judged.inputs, ...computed('timeToSink', sinkS, 'duration')],
  }
}

type SettleJudgement = Pick<MomentResult, 'verdict' | 'figure' | 'margin' | 'inputs'> &
  Pick<SettleBasis, 'holding' | 'onFloat' | 'free'>

function judgedBy(fishes: FishingMode, settling: Settling): SettleJudgement | undefined {
  if (fishes === 'holds') return judgeHolding(settling)
  // From the shore what drags is let go round with the stream.
  if (fishes === 'drags' && !isCastMethod(settling.water.method)) return judgeHolding(settling)
  return fishes === 'hangs' ? judgeOnFloat(settling) : judgeFree(settling)
}

/**
 * Holds with the method's reserve over the still-water least at the stream's peak; to be watched if it holds only up to two thirds of
 * it; else fails. The weight is the sinker, or on a free line the baited hook.
 */
function judgeHolding(settling: Settling): SettleJudgement {
  const { weight } = settling
  const { reserve } = settling.catalogue.methods[settling.water.method]
  const minimum = minimumSinker(settling)
  const grip = nominalGrip(settling)
  const neededKg = 'kgFor' in minimum ? minimum.kgFor(grip) : undefined
  const margin = neededKg === undefined ? 0 : weight.massKg / (neededKg * reserve)
  const holdsTo = holdsToMperS(settling, grip, reserve, minimum)
  const neaps = atNeaps(settling, grip, reserve, holdsTo)
  return {
    verdict: verdictOf(margin, (holdsTo ?? 0) / settling.water.streamMperS),
    figure: { key: 'sinkerOverWanted', quantity: 'ratio', value: margin },
    margin,
    inputs: holdingInputs(settling, reserve, neededKg, holdsTo),
    holding: {
      reserve,
      ...(neededKg === undefined ? {} : { neededKg, wantedKg: neededKg * reserve }),
      ...('trouble' in minimum ? { trouble: minimum.trouble } : {}),
      ...(holdsTo === undefined ? {} : { holdsToMperS: holdsTo }),
      ...neaps,
      ...(neededKg === undefined
        ? {}
        : toReach(settling, Math.min(neededKg * reserve, neaps.atNeaps?.wantedKg ?? Number.POSITIVE_INFINITY))),
    },
  }
}

function atNeaps(settling: Settling, grip: number, reserve: number, holdsTo: number | undefined): Pick<Holding, 'atNeaps'> {
  const { neapMperS: streamMperS } = settling.water
  if (streamMperS === undefined) return {}
  const minimum = minimumSinker(atStream(settling, streamMperS))
  if (!('kgFor' in minimum)) return { atNeaps: { streamMperS, verdict: 'fails' } }
  const wantedKg = minimum.kgFor(grip) * reserve
  const verdict = verdictOf(settling.weight.massKg / wantedKg, (holdsTo ?? 0) / streamMperS)
  return { atNeaps: { streamMperS, wantedKg, verdict } }
}

function toReach(settling: Settling, holdsKg: number): Pick<Holding, 'toReachKg'> {
  const { water } = settling
  if (!isCastMethod(water.method)) return {}
  const toReachKg = leastToReachKg(settling, water.distanceM, holdsKg)
  return toReachKg === undefined ? {} : { toReachKg }
}

/** Holds where the float has something to spare over what hangs under it; at its last it is to be watched. */
function judgeOnFloat(settling: Settling): SettleJudgement | undefined {
  const float = onFloat(settling)
  if (!float) return undefined
  const share = float.loadN / float.bearsN
  return {
    verdict: gradeAtLeast(1 / share, FLOAT_OVER_LOAD),
    figure: { key: 'loadOfFloat', quantity: 'share', value: share },
    margin: 1 / (share * FLOAT_OVER_LOAD.holds),
    inputs: [
      ...computed('floatBears', float.bearsN / GRAVITY_M_PER_S2, 'mass'),
      ...computed('underFloat', float.loadN / GRAVITY_M_PER_S2, 'mass'),
    ],
    onFloat: float,
  }
}

/** Informs: how deep it fishes, and in what stream it still gets down. Undefined for what does not sink. */
function judgeFree(settling: Settling): SettleJudgement | undefined {
  const free = freeLineOf(settling)
  if (!free) return undefined
  return {
    verdict: 'holds',
    figure: { key: 'fishesAt', quantity: 'length', value: free.depthM },
    margin: free.depthM / settling.water.depthM,
    inputs: [...computed('lineOutFree', free.lineOutM, 'length'), ...computed('sinksToStream', free.sinksToMperS, 'speed')],
    free,
  }
}

function verdictOf(margin: number, shareOfPeak: number): Verdict {
  if (margin >= 1) return 'holds'
  return shareOfPeak >= PART_OF_THE_TIDE ? 'watch' : 'fails'
}

function sinkTimeS(settling: Settling): number | undefined {
  try {
    return waterSink(sinkInput(settling)).timeS
  } catch (error) {
    if (error instanceof CoreError) return undefined
    throw error
  }
}

const set = (key: string, value: number, quantity: Input['quantity']): Input => ({ key, value, quantity, origin: 'document' })
const nominal = (key: string, value: number, quantity: Input['quantity']): Input => ({ key, value, quantity, origin: 'nominal' })
const computed = (key: string, value: number | undefined, quantity: Input['quantity']): Input[] =>
  value === undefined ? [] : [{ key, value, quantity, origin: 'computed' }]

function waterInputs(settling: Settling): Input[] {
  const { water, weight, outfit, catalogue } = settling
  const line = freeLine(outfit)
  return [
    { key: 'method', quantity: 'word', value: water.method, origin: 'document' },
    set('weightThatHolds', weight.massKg, 'mass'),
    set('depth', water.depthM, 'length'),
    set('streamAtPeak', water.streamMperS, 'speed'),
    ...(water.method === 'drift' ? [set('drift', water.driftMperS, 'speed')] : []),
    ...(isCastMethod(water.method) ? [set('distance', water.distanceM, 'length')] : []),
    set('scope', water.scope, 'ratio'),
    {
      ...nominal('lineDiameter', lineDiameterM(catalogue, line), 'diameter'),
      origin: line.diameterM === undefined ? 'nominal' : 'document',
    },
    set('weedFactor', water.weedFactor, 'ratio'),
    nominal('baitDragArea', baitAreaM2(settling), 'area'),
  ]
}

function holdingInputs(settling: Settling, reserve: number, neededKg: number | undefined, holdsTo: number | undefined): Input[] {
  return [
    ...(isCastMethod(settling.water.method) ? [nominal('grip', nominalGrip(settling), 'ratio')] : []),
    ...computed('leastThatHolds', neededKg, 'mass'),
    { key: 'reserve', quantity: 'ratio', value: reserve, origin: 'rule' },
    ...computed('holdsToStream', holdsTo, 'speed'),
  ]
}

function deriveSettle(setup: PreparedSetup, { settling, holding, free, moved }: Settle): CalculationRequest[] {
  if (!settling) return movingRequests(setup, moved)
  const from = { lineDiameterM: 'nominal', lineDensityKgperM3: 'nominal', grip: 'nominal', baitDragAreaM2: 'nominal' } as const
  return [
    ...(holding || free ? [holdRequest(settling, from)] : []),
    { calculation: 'water.sink', input: sinkInput(settling), from: { dragAreaM2: 'nominal', lineDiameterM: 'nominal' } },
  ]
}

function holdRequest(settling: Settling, from: CalculationRequest['from']): CalculationRequest {
  const grip = nominalGrip(settling)
  switch (settling.water.method) {
    case 'shore':
      return {
        calculation: 'water.shoreLine',
        input: shoreInput(settling, grip),
        from: { breakOutN: 'nominal', tipHeightM: 'computed', ...from },
      }
    case 'uptide':
      return { calculation: 'water.uptideHold', input: uptideInput(settling, grip), from }
    default:
      return { calculation: 'water.line', input: lineInput(settling), from: { layers: 'nominal', ...from } }
  }
}
