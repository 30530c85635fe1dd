import { z } from 'zod'
import {
  areaM2,
  define,
  densityKgperM3,
  grip,
  lineDiameterM,
  lineLengthM,
  massKg,
  nonNegative,
  positive,
  waterDensityKgperM3,
} from '../calculation.ts'
import { waterDriftLine, waterDriftMass } from './driftLine.ts'
import { waterHang } from './hang.ts'
import { waterHangMass } from './hangMass.ts'
import { waterLine } from './line.ts'
import { waterShoreHold } from './shoreHold.ts'
import { waterShoreLine } from './shoreLine.ts'
import { waterSink } from './sink.ts'
import { waterUptideHold } from './uptideHold.ts'

const line = { lineDiameterM, lineDensityKgperM3: densityKgperM3 }
const stream = {
  surfaceCurrentMperS: nonNegative.max(20),
  depthM: z.number().min(1).max(10_000),
  profileExponent: z.number().min(0).max(1),
}
const hanging = {
  sinkerDensityKgperM3: densityKgperM3,
  sinkerDragCoefficient: nonNegative.max(10),
  baitDragAreaM2: areaM2,
  ...line,
  ...stream,
  waterDensityKgperM3,
}
/** Speed of the boat over the ground, with the current and across it. */
const drifting = { driftAlongMperS: z.number().min(-20).max(20), driftAcrossMperS: z.number().min(-20).max(20) }
/** Line out over the straight way from rod to sinker, at most. */
const MAX_SCOPE = 10

const BERTEAUX =
  'H. O. Berteaux, Buoy Engineering (1976); S. F. Hoerner, Fluid-Dynamic Drag (1965); profile after R. Soulsby, Dynamics of Marine Sands (1997)'
const EQUILIBRIUM =
  'd(T t)/ds + f − w ẑ = 0, dr/ds = t, f = ½ρCn d |Un| Un + ½ρCt d |Ut| Ut;  u(z) = u_surface (max(z, 0.2 m)/depth)^n'

/** Line, sinkers and streams in the water; the tide. */
export const WATER_CALCULATIONS = {
  'water.hang': define({
    title: 'Line from a hanging sinker up to a boat at anchor',
    formula: EQUILIBRIUM,
    source: BERTEAUX,
    valid: 'a steady current along one line, no swell; the line does not stretch',
    input: z.strictObject({ sinkerMassKg: massKg, ...hanging }),
    output: z.object({ lineOutM: positive, setbackM: z.number(), topTensionN: positive, topAngleFromVerticalDeg: z.number() }),
    run: (input) => waterHang(input),
  }),
  'water.line': define({
    title: 'A layered line from a hanging sinker up to a boat, and what causes the drag',
    formula: EQUILIBRIUM,
    source: BERTEAUX,
    valid:
      'as water.hang; a drift subtracts its speed from the current at every height; across, the flow turns with height, and setback is how far the sinker lies away',
    input: z
      .strictObject({
        sinkerMassKg: massKg,
        sinkerDensityKgperM3: hanging.sinkerDensityKgperM3,
        sinkerDragCoefficient: hanging.sinkerDragCoefficient,
        baitDragAreaM2: hanging.baitDragAreaM2,
        layers: z
          .array(
            z.strictObject({
              diameterM: line.lineDiameterM,
              densityKgperM3: line.lineDensityKgperM3,
              lengthM: lineLengthM.optional(),
            }),
          )
          .min(1)
          .max(20),
        profile: z
          .array(z.strictObject({ heightM: nonNegative.max(10_000), speedMperS: z.number().min(-20).max(20) }))
          .min(1)
          .max(200)
          .optional(),
        driftMperS: z.number().min(-20).max(20).optional(),
        driftAcrossMperS: z.number().min(-20).max(20).optional(),
        ...stream,
        waterDensityKgperM3,
      })
      .superRefine(({ layers, profile }, context) => {
        for (const [i, { lengthM }] of layers.entries())
          if (lengthM === undefined && i < layers.length - 1)
            context.addIssue({
              code: 'custom',
              path: ['layers', i, 'lengthM'],
              message: 'Only the last layer may leave its length out',
            })
        for (const [i, row] of (profile ?? []).entries())
          if (i > 0 && !(row.heightM > profile![i - 1]!.heightM))
            context.addIssue({ code: 'custom', path: ['profile', i, 'heightM'], message: 'Heights must rise' })
      }),
    output: z.object({
      lineOutM: positive,
      setbackM: z.number(),
      topTensionN: positive,
      topAngleFromVerticalDeg: z.number(),
      dragN: z.object({ sinker: z.number(), bait: z.number(), layers: z.array(z.number()) }),
    }),
    run: (input) => waterLine(input),
  }),
  'water.hangMass': define({
    title: 'Sinker that keeps line out to so many times the depth',
    formula: 'lineOutM(sinkerMassKg) / depthM = scope, solved in log mass between 1 g and 100 kg',
    source: BERTEAUX,
    valid: 'a still-water minimum: swell and the swing of the boat need more',
    input: z.strictObject({ scope: z.number().gt(1).max(100), ...hanging, surfaceCurrentMperS: positive.max(20) }),
    output: z.object({ sinkerMassKg: positive }),
    run: waterHangMass,
  }),
  'water.driftLine': define({
    title: 'Line from a hanging sinker up to a boat that drifts',
    formula: `${EQUILIBRIUM};  U(z) = (u(z) − along, −across, 0)`,
    source: BERTEAUX,
    valid: 'a steady current and drift, no swell; the line does not stretch',
    input: z.strictObject({ sinkerMassKg: massKg, ...hanging, ...drifting }),
    output: z.object({
      lineOutM: positive,
      setbackAlongM: z.number(),
      setbackAcrossM: z.number(),
      topTensionN: positive,
      topAngleFromVerticalDeg: nonNegative,
    }),
    run: waterDriftLine,
  }),
  'water.driftMass': define({
    title: 'Sinker that keeps line out to so many times the depth in a drift',
    formula: 'lineOutM(sinkerMassKg) / depthM = scope in water.driftLine, solved in log mass between 1 g and 100 kg',
    source: BERTEAUX,
    valid: 'a still-water minimum: swell needs more',
    input: z.strictObject({ scope: z.number().gt(1).max(100), ...hanging, ...drifting }),
    output: z.object({ sinkerMassKg: positive }),
    run: waterDriftMass,
  }),
  'water.shoreHold': define({
    title: 'Sinker that holds across a current, from the shore',
    formula:
      'sinh x / x = scope, a = spanM / 2x, lineTensionN = ½ρCn d u² a;  pullN = |line + bait|;  sinkerMassKg = pullN / grip / (g (1 − ρ/ρ_sinker))',
    source: 'H. O. Berteaux, Buoy Engineering (1976)',
    valid: 'an even current across; only the line’s normal drag; the sinker’s own drag left out',
    input: z.strictObject({
      lineDiameterM: line.lineDiameterM,
      currentMperS: nonNegative.max(20),
      spanM: lineLengthM,
      scope: positive.max(100),
      grip,
      sinkerDensityKgperM3: z.number().gt(1_100).max(30_000),
      baitDragAreaM2: areaM2,
      waterDensityKgperM3,
    }),
    output: z.object({
      lineTensionN: positive,
      endAngleDeg: positive,
      bowM: positive,
      pullN: positive,
      sinkerMassKg: positive,
    }),
    run: waterShoreHold,
  }),
  'water.shoreLine': define({
    title: 'Line from a sinker on the bottom to a rod on the shore, across a current',
    formula: `${EQUILIBRIUM}, in the air only its weight;  submerged weight = max(0, pullN − breakOutN) / grip + liftN`,
    source: BERTEAUX,
    valid: 'a steady current straight across; no drag of the sinker; the line clear of the bottom',
    input: z.strictObject({
      ...line,
      ...stream,
      lineDensityKgperM3: z.number().min(100).max(30_000),
      depthM: z.number().min(0.3).max(1_000),
      spanM: lineLengthM,
      tipHeightM: nonNegative.max(300),
      scope: positive.max(100),
      grip,
      breakOutN: nonNegative.max(1_000),
      sinkerDensityKgperM3: z.number().gt(1_100).max(30_000),
      baitDragAreaM2: areaM2,
      waterDensityKgperM3,
    }),
    output: z.object({ pullN: positive, liftN: nonNegative, rodPullN: positive, bowM: positive, sinkerMassKg: positive }),
    run: (input) => waterShoreLine(input),
  }),
  'water.uptideHold': define({
    title: 'Sinker that holds up-current of an anchored boat',
    formula: `${EQUILIBRIUM};  submerged weight = liftN + (pullUptideN + bait drag) / grip`,
    source: BERTEAUX,
    valid: 'a steady current; the sinker’s own drag left out',
    input: z
      .strictObject({
        ...line,
        ...stream,
        uptideDistanceM: lineLengthM,
        lineOutM: lineLengthM,
        grip,
        sinkerDensityKgperM3: z.number().gt(1_100).max(30_000),
        baitDragAreaM2: areaM2,
        waterDensityKgperM3,
      })
      .refine(({ lineOutM, uptideDistanceM, depthM }) => lineOutM <= MAX_SCOPE * Math.hypot(uptideDistanceM, depthM), {
        path: ['lineOutM'],
        message: `is over ${MAX_SCOPE} times the straight way`,
      }),
    output: z.object({ pullUptideN: z.number(), liftN: z.number(), sinkerMassKg: positive }),
    run: (input) => waterUptideHold(input),
  }),
  'water.sink': define({
    title: 'Time to sink to the bottom',
    formula: 'v(z) = √(2W / (ρ (dragAreaM2 + Ct d z)));  timeS = ∫ dz / v',
    source: 'Terminal speed with quadratic drag; line drag after S. F. Hoerner, Fluid-Dynamic Drag (1965)',
    valid: 'still water, line free off the spool',
    input: z.strictObject({
      massKg,
      densityKgperM3,
      dragAreaM2: z.number().min(1e-9).max(10),
      lineDiameterM: nonNegative.max(0.05),
      depthM: positive.max(10_000),
      waterDensityKgperM3,
    }),
    output: z.object({ timeS: positive, freeSpeedMperS: positive, bottomSpeedMperS: positive }),
    run: waterSink,
  }),
}
