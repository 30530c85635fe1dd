import { CoreError } from '../errors.ts'
import { lineDiameterM } from '../gear/materials.ts'
import { sinkInput } from '../settling/asked.ts'
import { holdsToMperS, leastToHold } from '../settling/least.ts'
import { baitAreaM2, nominalGrip, type Settling, settlingOf } from '../settling/settling.ts'
import { type Falling, sinkOrder } from '../settling/sinkOrder.ts'
import { type Twist, twistsOf } from '../settling/twist.ts'
import { freeLine } from '../trace/outfit.ts'
import { isCastMethod, METHODS } from '../trace/waterConditions.ts'
import { waterSink } from '../water/sink.ts'
import type { Input, Moment, Verdict } from './moment.ts'
import type { Workings } from './workings.ts'

/** Share of the peak stream that at least holds for part of a session: from about four hours in six. Ours. */
const PART_OF_THE_TIDE = 2 / 3

export type Settle = Moment & {
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
  /** What keeps it from being reckoned, in a sentence. */
  trouble?: string
  /** Two weights on lines of their own, as they fall. */
  falling?: { lower: Falling; upper: Falling }
  /** Baits that spin in the stream, and what takes their twist. */
  twists: Twist[]
}

/**
 * Settle: whether the weight reaches the bottom and holds there at the stream's peak, with the method's reserve over the still-water
 * least. Holds at the peak; to be watched if it holds only up to two thirds of it; else fails. The weight is the sinker, or on a
 * free line the baited hook. Undefined without water to settle in, or with nothing that takes it down.
 */
export function settleMoment(workings: Workings): Settle | undefined {
  const { water } = workings.conditions
  const settling = water && settlingOf(workings, water)
  if (!settling) return undefined
  const { weight } = settling
  const { reserve } = METHODS[settling.water.method]
  const least = leastToHold(settling)
  const grip = nominalGrip(settling)
  const neededKg = 'kgFor' in least ? least.kgFor(grip) : undefined
  const margin = neededKg === undefined ? 0 : weight.massKg / (neededKg * reserve)
  const holdsTo = holdsToMperS(settling, least, grip, reserve)
  const sinkS = sinkTimeS(settling)
  const falling = sinkOrder(workings.trace, workings.tracePath)
  return {
    moment: 'settle',
    verdict: verdictOf(margin, (holdsTo ?? 0) / settling.water.streamMperS),
    end: weight.id,
    decides: weight.id,
    figure: { name: 'sinkerOverWanted', value: margin, unit: '' },
    margin,
    inputs: inputsOf(settling, reserve, { neededKg, holdsTo, sinkS }),
    settling,
    reserve,
    ...(neededKg === undefined ? {} : { neededKg, wantedKg: neededKg * reserve }),
    ...('trouble' in least ? { trouble: least.trouble } : {}),
    ...(holdsTo === undefined ? {} : { holdsToMperS: holdsTo }),
    ...(sinkS === undefined ? {} : { sinkS }),
    ...(falling ? { falling } : {}),
    twists: twistsOf(workings.trace, workings.tracePath),
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
  const { water, weight, outfit } = settling
  const line = freeLine(outfit)
  const cast = isCastMethod(water.method)
  const computed = (name: string, value: number | undefined, unit: string): Input[] =>
    value === undefined ? [] : [{ name, value, unit, from: 'computed' }]
  return [
    { name: 'method', value: METHODS[water.method].name, unit: '', from: 'document' },
    { name: 'weight that holds', value: weight.massKg, unit: 'kg', from: 'document' },
    { name: 'depth', value: water.depthM, unit: 'm', from: 'document' },
    { name: 'stream at its peak', value: water.streamMperS, unit: 'm/s', from: 'document' },
    ...(water.method === 'drift' ? [{ name: 'drift', value: water.driftMperS, unit: 'm/s', from: 'document' as const }] : []),
    ...(cast
      ? [
          { name: 'distance', value: water.distanceM, unit: 'm', from: 'document' as const },
          { name: 'grip on the bed', value: nominalGrip(settling), unit: '', from: 'nominal' as const },
        ]
      : []),
    { name: 'scope', value: water.scope, unit: '', from: 'document' },
    {
      name: 'line’s thickness',
      value: lineDiameterM(line),
      unit: 'm',
      from: line.diameterM === undefined ? 'nominal' : 'document',
    },
    { name: 'weed on the line', value: water.weedFactor, unit: '', from: 'document' },
    { name: 'bait’s drag area, cm²', value: baitAreaM2(settling) * 1e4, unit: '', from: 'nominal' },
    ...computed('least that holds', neededKg, 'kg'),
    { name: 'reserve', value: reserve, unit: '', from: 'rule' },
    ...computed('holds up to a stream of', holdsTo, 'm/s'),
    ...computed('time to sink', sinkS, 's'),
  ]
}
