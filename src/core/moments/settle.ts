import { CoreError } from '../errors.ts'
import { BAITS } from '../gear/baits.ts'
import { gripOf } from '../gear/grip.ts'
import { lineDiameterM, MATERIALS } from '../gear/materials.ts'
import { SINKER_SHAPES } from '../gear/sinkers.ts'
import { DENSITY_KG_PER_M3, SEA_WATER_KG_PER_M3 } from '../math/constants.ts'
import { freeLine } from '../trace/outfit.ts'
import type { Piece, Trace } from '../trace/schema.ts'
import { METHODS, type Water } from '../trace/waterConditions.ts'
import type { Layer } from '../water/hangLayers.ts'
import { massForScopeKg } from '../water/hangMass.ts'
import { type WaterLineInput, waterLine } from '../water/line.ts'
import type { LinePoint } from '../water/lineInWater.ts'
import { type ShoreHoldInput, waterShoreHold } from '../water/shoreHold.ts'
import { type SinkInput, waterSink } from '../water/sink.ts'
import { sphereAreaM2, submergedWeightN } from '../water/sphere.ts'
import { type UptideHoldInput, waterUptideHold } from '../water/uptideHold.ts'
import type { Input, Moment, Verdict } from './moment.ts'
import type { Workings } from './workings.ts'

type Sinker = Extract<Piece, { role: 'sinker' }>

/** Drag coefficient of a sinker as a sphere of its mass; and the exponent of the stream over a sea bed. Nominal. */
const SINKER_COEFFICIENT = 0.5
const BED_EXPONENT = 1 / 7
/** Share of the peak stream that at least holds for part of a session: from about four hours in six. Ours. */
const PART_OF_THE_TIDE = 2 / 3
/** What is wanted where any sinker holds, kg. */
const LEAST_KG = 0.001
/** A solve for a verdict needs no more than this. */
const TOLERANCE = 1e-6

/** Whose the pull of the stream is, N; what a boat's line pulls with, down-current. */
export type Share = { id: string; forceN: number }
export type Settle = Moment & {
  water: Water
  sinkerKg: number
  /** The least that holds at the peak, and with the method's reserve; undefined where none does. */
  neededKg?: number
  wantedKg?: number
  reserve: number
  sinkS: number
  /** What keeps it from being reckoned, in a sentence. */
  trouble?: string
  /** A line hanging from the boat with the sinker as it is: its shape from the sinker up, and what is read off it. */
  hung?: {
    points: LinePoint[]
    lineOutM: number
    setbackM: number
    angleDeg: number
    feel: number
    shares: Share[]
  }
}

/**
 * Settle: whether the sinker reaches the bottom and holds there at the stream's peak, with the method's reserve over the still-water
 * least. Holds at the peak; to be watched if it holds only up to two thirds of it; else fails. Undefined without water to settle
 * in, or without a sinker.
 */
export function settleMoment(workings: Workings): Settle | undefined {
  const { water } = workings.conditions
  const sinker = sinkerOf(workings.trace)
  if (!water || !sinker) return undefined
  const { reserve } = METHODS[water.method]
  const peak = leastKg(workings, sinker, water, 1)
  const wantedKg = 'kg' in peak ? peak.kg * reserve : undefined
  const margin = wantedKg === undefined ? 0 : sinker.massKg / wantedKg
  const verdict = verdictOf(margin, () => leastKg(workings, sinker, water, PART_OF_THE_TIDE), sinker.massKg / reserve)
  const sinkS = waterSink(sinkInput(workings, sinker, water)).timeS
  return {
    moment: 'settle',
    verdict,
    end: sinker.id,
    decides: sinker.id,
    figure: { name: 'sinkerOverWanted', value: margin, unit: '' },
    margin,
    inputs: inputsOf(workings, sinker, water, peak, reserve, sinkS),
    water,
    sinkerKg: sinker.massKg,
    reserve,
    sinkS,
    ...('kg' in peak ? { neededKg: peak.kg, wantedKg: peak.kg * reserve } : { trouble: peak.trouble }),
    ...hungOf(workings, sinker, water),
  }
}

/** The heaviest sinker: the one that holds. */
export function sinkerOf(trace: Trace): Sinker | undefined {
  return trace.pieces
    .filter((piece): piece is Sinker => piece.role === 'sinker')
    .reduce<Sinker | undefined>((heaviest, piece) => (heaviest && heaviest.massKg >= piece.massKg ? heaviest : piece), undefined)
}

type Least = { kg: number } | { trouble: string }

function verdictOf(margin: number, partly: () => Least, bearsKg: number): Verdict {
  if (margin >= 1) return 'holds'
  const part = partly()
  return 'kg' in part && part.kg <= bearsKg ? 'watch' : 'fails'
}

/** The least sinker of this shape that holds at a share of the peak stream. */
function leastKg(workings: Workings, sinker: Sinker, water: Water, share: number): Least {
  const streamMperS = share * water.streamMperS
  try {
    return { kg: byMethod(workings, sinker, water, streamMperS) }
  } catch (error) {
    if (!(error instanceof CoreError)) throw error
    // Without a stream nothing is needed to hold.
    if (streamMperS === 0 || (error.code === 'no-root' && error.details.end === 'least')) return { kg: LEAST_KG }
    return { trouble: error.message }
  }
}

function byMethod(workings: Workings, sinker: Sinker, water: Water, streamMperS: number): number {
  switch (water.method) {
    case 'shore':
      return waterShoreHold(shoreInput(workings, sinker, water, streamMperS)).sinkerMassKg
    case 'uptide':
      return waterUptideHold(uptideInput(workings, sinker, water, streamMperS)).sinkerMassKg
    default: {
      const input = lineInput(workings, sinker, water, streamMperS)
      const lineOutM = (sinkerMassKg: number) => waterLine({ ...input, sinkerMassKg }, { tolerance: TOLERANCE }).lineOutM
      return massForScopeKg(lineOutM, water.depthM, water.scope)
    }
  }
}

/** What `water.shoreHold` is asked of a sinker out from the shore. */
export function shoreInput(workings: Workings, sinker: Sinker, water: Water, streamMperS: number): ShoreHoldInput {
  return { ...castInput(workings, sinker, water), currentMperS: streamMperS, spanM: water.distanceM, scope: water.scope }
}

/** What `water.uptideHold` is asked of a sinker cast up-current of the boat. */
export function uptideInput(workings: Workings, sinker: Sinker, water: Water, streamMperS: number): UptideHoldInput {
  return {
    ...castInput(workings, sinker, water),
    lineDensityKgperM3: MATERIALS[freeLine(workings.outfit).material].densityKgperM3,
    surfaceCurrentMperS: streamMperS,
    depthM: water.depthM,
    uptideDistanceM: water.distanceM,
    lineOutM: water.scope * Math.hypot(water.distanceM, water.depthM),
    profileExponent: BED_EXPONENT,
  }
}

function castInput(workings: Workings, sinker: Sinker, water: Water) {
  return {
    lineDiameterM: lineDiameterM(freeLine(workings.outfit)) * water.weedFactor,
    baitDragAreaM2: baitAreaM2(workings),
    grip: gripOf(sinker.shape, water.bed),
    sinkerDensityKgperM3: DENSITY_KG_PER_M3.lead,
  }
}

/** What `water.line` is asked: the trace and the outfit's lines from the sinker up, from a boat at anchor or adrift. */
export function lineInput(
  { trace, outfit, tracePath, spool }: Workings,
  sinker: Sinker,
  water: Water,
  streamMperS: number,
): WaterLineInput {
  const own = tracePath(sinker.id)
    .toReversed()
    .flatMap((element): Layer[] =>
      element.kind === 'line' ? [layerOf(element.line, water, Math.abs(element.toM - element.fromM))] : [],
    )
    .filter(({ lengthM }) => lengthM! > 0)
  const wound = outfit.wound.toReversed()
  const below = wound.slice(0, -1).map((line, i) => layerOf(line, water, spool.layers[wound.length - 1 - i]!.lengthM))
  return {
    sinkerMassKg: sinker.massKg,
    sinkerDensityKgperM3: DENSITY_KG_PER_M3.lead,
    sinkerDragCoefficient: SINKER_COEFFICIENT,
    baitDragAreaM2: baitAreaM2({ trace }),
    layers: [...own, ...below, layerOf(freeLine(outfit), water)],
    surfaceCurrentMperS: streamMperS,
    depthM: water.depthM,
    profileExponent: BED_EXPONENT,
    ...(water.method === 'drift' ? { driftMperS: water.driftMperS } : {}),
  }
}

/** What `water.sink` is asked: the sinker with its bait, drawing the line after it. */
export function sinkInput(workings: Workings, sinker: Sinker, water: Water): SinkInput {
  return {
    massKg: sinker.massKg,
    densityKgperM3: DENSITY_KG_PER_M3.lead,
    dragAreaM2: sinkerAreaM2(sinker) + baitAreaM2(workings),
    lineDiameterM: lineDiameterM(freeLine(workings.outfit)),
    depthM: water.depthM,
  }
}

function layerOf(line: Parameters<typeof lineDiameterM>[0], { weedFactor }: Water, lengthM?: number): Layer {
  const layer = { diameterM: lineDiameterM(line) * weedFactor, densityKgperM3: MATERIALS[line.material].densityKgperM3 }
  return lengthM === undefined ? layer : { ...layer, lengthM }
}

function hungOf(workings: Workings, sinker: Sinker, water: Water): Pick<Settle, 'hung'> {
  if (water.method === 'shore' || water.method === 'uptide') return {}
  const points: LinePoint[] = []
  const input = lineInput(workings, sinker, water, water.streamMperS)
  try {
    const hung = waterLine(input, { tolerance: TOLERANCE, onPoint: (point) => points.push(point) })
    const ownLines = workings.tracePath(sinker.id).filter((element) => element.kind === 'line').length
    const sum = (forces: readonly number[]) => forces.reduce((total, force) => total + force, 0)
    return {
      hung: {
        points,
        lineOutM: hung.lineOutM,
        setbackM: hung.setbackM,
        angleDeg: hung.topAngleFromVerticalDeg,
        feel: submergedWeightN(sinker.massKg, DENSITY_KG_PER_M3.lead, SEA_WATER_KG_PER_M3) / hung.topTensionN,
        shares: [
          { id: 'sinker', forceN: hung.dragN.sinker },
          { id: 'bait', forceN: hung.dragN.bait },
          { id: 'trace', forceN: sum(hung.dragN.layers.slice(0, ownLines)) },
          { id: 'line', forceN: sum(hung.dragN.layers.slice(ownLines)) },
        ],
      },
    }
  } catch (error) {
    if (error instanceof CoreError) return {}
    throw error
  }
}

const sinkerAreaM2 = ({ massKg, shape }: Sinker) =>
  SINKER_COEFFICIENT * sphereAreaM2(massKg, DENSITY_KG_PER_M3.lead) * SINKER_SHAPES[shape].flight

function baitAreaM2({ trace }: Pick<Workings, 'trace'>): number {
  return trace.pieces.reduce((sum, piece) => sum + (piece.role === 'bait' ? BAITS[piece.bait].streamM2 : 0), 0)
}

function inputsOf(workings: Workings, sinker: Sinker, water: Water, peak: Least, reserve: number, sinkS: number): Input[] {
  const line = freeLine(workings.outfit)
  const cast = water.method === 'shore' || water.method === 'uptide'
  return [
    { name: 'method', value: METHODS[water.method].name, unit: '', from: 'document' },
    { name: 'sinker', value: sinker.massKg, unit: 'kg', from: 'document' },
    { name: 'depth', value: water.depthM, unit: 'm', from: 'document' },
    { name: 'stream at its peak', value: water.streamMperS, unit: 'm/s', from: 'document' },
    ...(water.method === 'drift' ? [{ name: 'drift', value: water.driftMperS, unit: 'm/s', from: 'document' as const }] : []),
    ...(cast
      ? [
          { name: 'distance', value: water.distanceM, unit: 'm', from: 'document' as const },
          { name: 'grip on the bed', value: gripOf(sinker.shape, water.bed), unit: '', from: 'nominal' as const },
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
    { name: 'bait’s drag area, cm²', value: baitAreaM2(workings) * 1e4, unit: '', from: 'nominal' },
    ...('kg' in peak ? [{ name: 'least that holds', value: peak.kg, unit: 'kg', from: 'computed' as const }] : []),
    { name: 'reserve', value: reserve, unit: '', from: 'rule' },
    { name: 'time to sink', value: sinkS, unit: 's', from: 'computed' },
  ]
}
