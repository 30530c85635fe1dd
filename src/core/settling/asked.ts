import { lineDiameterM, MATERIALS } from '../gear/materials.ts'
import { freeLine } from '../trace/outfit.ts'
import type { Water } from '../trace/waterConditions.ts'
import type { Layer } from '../water/hangLayers.ts'
import type { WaterLineInput } from '../water/line.ts'
import type { ShoreHoldInput } from '../water/shoreHold.ts'
import type { SinkInput } from '../water/sink.ts'
import type { UptideHoldInput } from '../water/uptideHold.ts'
import { baitAreaM2, baitFallAreaM2, type Settling } from './settling.ts'

/** Exponent of the stream's profile over a sea bed. Source: R. Soulsby, Dynamics of Marine Sands (1997). */
const BED_EXPONENT = 1 / 7

/** What `water.shoreHold` is asked of a weight out from the shore. */
export function shoreInput(settling: Settling, grip: number): ShoreHoldInput {
  const { water } = settling
  return { ...castInput(settling, grip), currentMperS: water.streamMperS, spanM: water.distanceM, scope: water.scope }
}

/** What `water.uptideHold` is asked of a weight cast up-current of the boat. */
export function uptideInput(settling: Settling, grip: number): UptideHoldInput {
  const { water, outfit } = settling
  return {
    ...castInput(settling, grip),
    lineDensityKgperM3: MATERIALS[freeLine(outfit).material].densityKgperM3,
    surfaceCurrentMperS: water.streamMperS,
    depthM: water.depthM,
    uptideDistanceM: water.distanceM,
    lineOutM: water.scope * Math.hypot(water.distanceM, water.depthM),
    profileExponent: BED_EXPONENT,
  }
}

function castInput(settling: Settling, grip: number) {
  return {
    lineDiameterM: lineDiameterM(freeLine(settling.outfit)) * settling.water.weedFactor,
    baitDragAreaM2: baitAreaM2(settling),
    grip,
    sinkerDensityKgperM3: settling.weight.densityKgperM3,
  }
}

/** What `water.line` is asked: the trace and the outfit's lines from the weight up, from a boat at anchor or adrift. */
export function lineInput(settling: Settling): WaterLineInput {
  const { outfit, tracePath, spool, weight, water } = settling
  const own = tracePath(weight.id)
    .toReversed()
    .flatMap((element): Layer[] =>
      element.kind === 'line' ? [layerOf(element.line, water, Math.abs(element.toM - element.fromM))] : [],
    )
    .filter(({ lengthM }) => lengthM! > 0)
  const wound = outfit.wound.toReversed()
  const below = wound.slice(0, -1).map((line, i) => layerOf(line, water, spool.layers[wound.length - 1 - i]!.lengthM))
  return {
    sinkerMassKg: weight.massKg,
    sinkerDensityKgperM3: weight.densityKgperM3,
    sinkerDragCoefficient: weight.dragCoefficient,
    baitDragAreaM2: baitAreaM2(settling),
    layers: [...own, ...below, layerOf(wound.at(-1)!, water)],
    surfaceCurrentMperS: water.streamMperS,
    depthM: water.depthM,
    profileExponent: BED_EXPONENT,
    ...(water.method === 'drift' ? { driftMperS: water.driftMperS, driftAcrossMperS: water.driftAcrossMperS } : {}),
  }
}

/** What `water.sink` is asked: the weight with its bait trailing, drawing the line after it. */
export function sinkInput(settling: Settling): SinkInput {
  const { weight, outfit, water } = settling
  return {
    massKg: weight.massKg,
    densityKgperM3: weight.densityKgperM3,
    dragAreaM2: weight.fallAreaM2 + baitFallAreaM2(settling),
    lineDiameterM: lineDiameterM(freeLine(outfit)),
    depthM: water.depthM,
  }
}

function layerOf(line: Parameters<typeof lineDiameterM>[0], { weedFactor }: Water, lengthM?: number): Layer {
  const layer = { diameterM: lineDiameterM(line) * weedFactor, densityKgperM3: MATERIALS[line.material].densityKgperM3 }
  return lengthM === undefined ? layer : { ...layer, lengthM }
}
