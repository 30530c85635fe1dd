import type { Catalogue } from '../../catalogue/catalogue.ts'
import { holdKindOf } from '../../catalogue/grip.ts'
import { type LineSpec, lineDiameterM } from '../../catalogue/materials.ts'
import type { Water } from '../../documents/water.ts'
import { freeLine } from '../../outfits/outfitLines.ts'
import type { Layer } from '../../physics/water/hangLayers.ts'
import type { WaterLineInput } from '../../physics/water/line.ts'
import type { ShoreLineInput } from '../../physics/water/shoreLine.ts'
import type { SinkInput } from '../../physics/water/sink.ts'
import type { UptideHoldInput } from '../../physics/water/uptideHold.ts'
import { linesAlong } from '../../soundness/paths.ts'
import { lineWantedM, tipHeightM } from '../lineWanted.ts'
import { baitAreaM2, baitFallAreaM2, type Settling, shoreHoldOf } from './settling.ts'

/** Exponent of the stream's profile over a sea bed. Source: R. Soulsby, Dynamics of Marine Sands (1997). */
const BED_EXPONENT = 1 / 7

/** What `water.shoreLine` is asked of a weight out from the shore. */
export function shoreInput(settling: Settling, grip: number): ShoreLineInput {
  const { water, outfit, catalogue, weight } = settling
  return {
    ...castInput(settling, grip),
    ...shoreHoldOf(settling, grip, holdKindOf(weight.shape)),
    lineDensityKgperM3: catalogue.materials[freeLine(outfit).material].densityKgperM3,
    surfaceCurrentMperS: water.streamMperS,
    depthM: water.depthM,
    spanM: water.distanceM,
    tipHeightM: tipHeightM(settling),
    scope: water.scope,
    profileExponent: BED_EXPONENT,
  }
}

/** What `water.uptideHold` is asked of a weight cast up-current of the boat. */
export function uptideInput(settling: Settling, grip: number): UptideHoldInput {
  const { water, outfit, catalogue } = settling
  return {
    ...castInput(settling, grip),
    lineDensityKgperM3: catalogue.materials[freeLine(outfit).material].densityKgperM3,
    surfaceCurrentMperS: water.streamMperS,
    depthM: water.depthM,
    uptideDistanceM: water.distanceM,
    lineOutM: lineWantedM(settling, water),
    profileExponent: BED_EXPONENT,
  }
}

function castInput(settling: Settling, grip: number) {
  return {
    lineDiameterM: lineDiameterM(settling.catalogue, freeLine(settling.outfit)) * settling.water.weedFactor,
    baitDragAreaM2: baitAreaM2(settling),
    grip,
    sinkerDensityKgperM3: settling.weight.densityKgperM3,
  }
}

/** What `water.line` is asked: the trace and the outfit's lines from the weight up, from a boat at anchor or adrift. */
export function lineInput(settling: Settling): WaterLineInput {
  const { outfit, catalogue, tracePath, spool, weight, water } = settling
  const layer = (line: LineSpec, lengthM?: number) => layerOf(catalogue, line, water, lengthM)
  const own = linesAlong(tracePath(weight.id))
    .toReversed()
    .map(({ line, lengthM }) => layer(line, lengthM))
    .filter(({ lengthM = 0 }) => lengthM > 0)
  // The line wound deepest goes on without end: how much is out is what is asked.
  const [deepest = freeLine(outfit), ...over] = outfit.wound
  const wound = over.map((line, i) => layer(line, spool.layers[i + 1]?.lengthM)).toReversed()
  return {
    sinkerMassKg: weight.massKg,
    sinkerDensityKgperM3: weight.densityKgperM3,
    sinkerDragCoefficient: weight.dragCoefficient,
    baitDragAreaM2: baitAreaM2(settling),
    layers: [...own, ...wound, layer(deepest)],
    surfaceCurrentMperS: water.streamMperS,
    depthM: water.depthM,
    profileExponent: BED_EXPONENT,
    ...(water.method === 'drift' ? { driftMperS: water.driftMperS, driftAcrossMperS: water.driftAcrossMperS } : {}),
  }
}

/** What `water.sink` is asked: the weight with its bait trailing, drawing the line after it. */
export function sinkInput(settling: Settling): SinkInput {
  const { weight, outfit, water, catalogue } = settling
  return {
    massKg: weight.massKg,
    densityKgperM3: weight.densityKgperM3,
    dragAreaM2: weight.fallAreaM2 + baitFallAreaM2(settling),
    lineDiameterM: lineDiameterM(catalogue, freeLine(outfit)),
    depthM: water.depthM,
  }
}

function layerOf(catalogue: Catalogue, line: LineSpec, { weedFactor }: Water, lengthM?: number): Layer {
  const { densityKgperM3 } = catalogue.materials[line.material]
  const layer = { diameterM: lineDiameterM(catalogue, line) * weedFactor, densityKgperM3 }
  return lengthM === undefined ? layer : { ...layer, lengthM }
}
