import { lineDiameterM } from '../catalogue/materials.ts'
import { isCastMethod } from '../catalogue/methods.ts'
import { pieceRef } from '../documents/linkRef.ts'
import { CoreError } from '../errors.ts'
import { waterSink } from '../physics/water/sink.ts'
import { freeLine } from '../setup/outfitLines.ts'
import type { PreparedSetup } from '../setup/prepareSetup.ts'
import { holdsToMperS, minimumSinker } from '../setup/settling/minimumSinker.ts'
import { baitAreaM2, nominalGrip, type Settling, settlingOf } from '../setup/settling/settling.ts'
import { type Falling, sinkOrder } from '../setup/settling/sinkOrder.ts'
import { lineInput, shoreInput, sinkInput, uptideInput } from '../setup/settling/solverInputs.ts'
import { type Twist, twistsOf } from '../setup/settling/twist.ts'
import type { CalculationRequest, Input, MomentKind, MomentResult, Verdict } from './moment.ts'
import { PART_OF_THE_TIDE } from './thresholds.ts'

export type Settle = MomentResult<'settle'> & {
  /** What was asked about; `lineShapeOf` draws it. */
  settling: Settling
  /** The least that holds at the peak, and with the method's reserve; undefined where none does. */
  neededKg?: number
  wantedKg?: number
  reserve: number
  /** The stream up to which it holds with the reserve; undefined where that is not known. */
  holdsToMperS?: number
  /** Undefined for what does not sink. */
  sinkS?: number
  /** What keeps it from being calculated, in a sentence. */
  trouble?: string
  /** Two weights on lines of their own, as they fall. */
  falling?: { lower: Falling; upper: Falling }
  /** Baits that spin in the stream, and what takes their twist. */
  twists: Twist[]
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
  ],
}

/**
 * Holds with the method's reserve over the still-water least at the stream's peak; to be watched if it holds only up to two
 * thirds of it; else fails. The weight is the sinker, or on a free line the baited hook. Undefined without water to settle in, or
 * with nothing that takes it down.
 */
function judgeSettle(setup: PreparedSetup): Settle | undefined {
  const { water } = setup.conditions
  const settling = water && settlingOf(setup, water)
  if (!settling) return undefined
  const { weight } = settling
  const { reserve } = setup.catalogue.methods[settling.water.method]
  const minimum = minimumSinker(settling)
  const grip = nominalGrip(settling)
  const neededKg = 'kgFor' in minimum ? minimum.kgFor(grip) : undefined
  const margin = neededKg === undefined ? 0 : weight.massKg / (neededKg * reserve)
  const holdsTo = holdsToMperS(settling, grip, reserve)
  const sinkS = sinkTimeS(settling)
  const falling = sinkOrder(setup)
  return {
    moment: 'settle',
    verdict: verdictOf(margin, (holdsTo ?? 0) / settling.water.streamMperS),
    end: weight.id,
    decides: pieceRef(weight.id),
    figure: { key: 'sinkerOverWanted', quantity: 'ratio', value: margin },
    margin,
    inputs: inputsOf(settling, reserve, { neededKg, holdsTo, sinkS }),
    settling,
    reserve,
    ...(neededKg === undefined ? {} : { neededKg, wantedKg: neededKg * reserve }),
    ...('trouble' in minimum ? { trouble: minimum.trouble } : {}),
    ...(holdsTo === undefined ? {} : { holdsToMperS: holdsTo }),
    ...(sinkS === undefined ? {} : { sinkS }),
    ...(falling ? { falling } : {}),
    twists: twistsOf(setup),
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

type Computed = { neededKg: number | undefined; holdsTo: number | undefined; sinkS: number | undefined }

function inputsOf(settling: Settling, reserve: number, { neededKg, holdsTo, sinkS }: Computed): Input[] {
  const { water, weight, outfit, catalogue } = settling
  const line = freeLine(outfit)
  const computed = (key: string, value: number | undefined, quantity: Input['quantity']): Input[] =>
    value === undefined ? [] : [{ key, value, quantity, origin: 'computed' }]
  const set = (key: string, value: number, quantity: Input['quantity']): Input => ({ key, value, quantity, origin: 'document' })
  const nominal = (key: string, value: number, quantity: Input['quantity']): Input => ({
    key,
    value,
    quantity,
    origin: 'nominal',
  })
  return [
    { key: 'method', quantity: 'word', value: water.method, origin: 'document' },
    set('weightThatHolds', weight.massKg, 'mass'),
    set('depth', water.depthM, 'length'),
    set('streamAtPeak', water.streamMperS, 'speed'),
    ...(water.method === 'drift' ? [set('drift', water.driftMperS, 'speed')] : []),
    ...(isCastMethod(water.method)
      ? [set('distance', water.distanceM, 'length'), nominal('grip', nominalGrip(settling), 'ratio')]
      : []),
    set('scope', water.scope, 'ratio'),
    {
      ...nominal('lineDiameter', lineDiameterM(catalogue, line), 'diameter'),
      origin: line.diameterM === undefined ? 'nominal' : 'document',
    },
    set('weedFactor', water.weedFactor, 'ratio'),
    nominal('baitDragArea', baitAreaM2(settling), 'area'),
    ...computed('leastThatHolds', neededKg, 'mass'),
    { key: 'reserve', quantity: 'ratio', value: reserve, origin: 'rule' },
    ...computed('holdsToStream', holdsTo, 'speed'),
    ...computed('timeToSink', sinkS, 'duration'),
  ]
}

function deriveSettle(_setup: PreparedSetup, { settling }: Settle): CalculationRequest[] {
  const nominal = { lineDiameterM: 'nominal', lineDensityKgperM3: 'nominal', grip: 'nominal', baitDragAreaM2: 'nominal' } as const
  return [
    holdRequest(settling, nominal),
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
