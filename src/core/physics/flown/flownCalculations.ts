import { z } from 'zod'
import {
  areaM2,
  define,
  densityKgperM3,
  id,
  lineDiameterM,
  lineLengthM,
  massKg,
  nonNegative,
  positive,
  waterDensityKgperM3,
} from '../calculation.ts'
import { kiteLead } from './kiteLead.ts'
import { trollDepth } from './trollDepth.ts'
import { trollLift } from './trollLift.ts'
import { trollTow } from './trollTow.ts'

/** More lines one after the other than anyone tows. */
const MAX_LAYERS = 12
/** More lines and parts than a trace has. */
const MAX_ROWS = 1_000
const BERTEAUX = 'H. O. Berteaux, Buoy Engineering (1976); S. F. Hoerner, Fluid-Dynamic Drag (1965)'
const EQUILIBRIUM = 'd(T t)/ds + f − w ẑ = 0, dr/ds = t, f = ½ρCn d |Un| Un + ½ρCt d |Ut| Ut'

const towSpeedMperS = z.number().min(0).max(20)
const layer = { lengthM: lineLengthM, diameterM: lineDiameterM, densityKgperM3 }
const hangsFrom = z.int().min(0).max(MAX_ROWS)

const towed = {
  speedMperS: towSpeedMperS,
  layers: z.array(z.strictObject(layer)).min(1).max(MAX_LAYERS, { abort: true }),
  endMassKg: massKg,
  endDensityKgperM3: densityKgperM3,
  endDragAreaM2: areaM2,
  waterDensityKgperM3,
}

const towInput = z
  .strictObject({
    speedMperS: towSpeedMperS,
    lines: z
      .array(z.strictObject({ hangsFrom, ...layer }))
      .min(1)
      .max(MAX_ROWS, { abort: true }),
    bodies: z
      .array(z.strictObject({ hangsFrom, id, massKg, densityKgperM3, dragAreaM2: areaM2, liftAreaM2: areaM2 }))
      .max(MAX_ROWS, { abort: true }),
    waterDensityKgperM3,
  })
  .superRefine(({ lines, bodies }, context) => {
    for (const [i, line] of lines.entries())
      if (line.hangsFrom > i)
        context.addIssue({
          code: 'custom',
          path: ['lines', i, 'hangsFrom'],
          message: `Line ${i + 1} hangs from line ${line.hangsFrom}, which is not before it`,
        })
    for (const [i, body] of bodies.entries())
      if (body.hangsFrom > lines.length)
        context.addIssue({
          code: 'custom',
          path: ['bodies', i, 'hangsFrom'],
          message: `There is no line ${body.hangsFrom} for ${body.id} to hang from`,
        })
  })

/** Lines that are drawn through the water or blown by the wind. */
export const FLOWN_CALCULATIONS = {
  'troll.depth': define({
    title: 'How deep a lure or weight runs on a line that is drawn through the water',
    formula: `${EQUILIBRIUM};  Px = −½ρU² CdA, Pz = weight in water + ½ρU² A_lift`,
    source: BERTEAUX,
    valid: 'a steady, straight course in still water; drag and lip of the lure as fixed areas',
    input: z.strictObject({ ...towed, endLiftAreaM2: areaM2 }),
    output: z.object({ depthM: z.number(), setbackM: z.number(), topTensionN: positive, topAngleFromVerticalDeg: z.number() }),
    run: (input) => trollDepth(input),
  }),
  'troll.lift': define({
    title: 'The lip of a lure from the depth that it is rated for',
    formula: 'endLiftAreaM2 where troll.depth gives depthM, in log area',
    source: BERTEAUX,
    valid: 'as troll.depth; the rating’s own line and speed',
    input: z.strictObject({ ...towed, depthM: z.number().min(0.01).max(1_000) }),
    output: z.object({ endLiftAreaM2: positive }),
    run: trollLift,
  }),
  'troll.tow': define({
    title: 'Where all that is towed swims: each leg up to where it meets the others, their pulls added there',
    formula: `${EQUILIBRIUM};  Px = −Σ ½ρU² CdA, Pz = Σ (weight in water + ½ρU² A_lift) at each lower end, with the pulls of what hangs there`,
    source: BERTEAUX,
    valid: 'as troll.depth; legs that do not touch; lines numbered from 1, 0 where the line enters the water',
    input: towInput,
    output: z.object({
      places: z.array(z.object({ id, depthM: z.number(), setbackM: z.number() })),
      topTensionN: positive,
      topAngleFromVerticalDeg: z.number(),
    }),
    run: trollTow,
  }),
  'kite.lead': define({
    title: 'Sinker that keeps a bait in the water under a kite',
    formula: `${EQUILIBRIUM} in air, u(z) = wind (max(z, 0.5 m)/10 m)^(1/7);  hung = max(0, T_ring e^(−μ·wrap) − w·ringHeight);  leadMassKg = max(0, hung/g − hungMassKg)`,
    source: `${BERTEAUX}; capstan equation (Euler–Eytelwein)`,
    valid: 'a steady wind, slack 1.001 to 1.3; the drop’s own drift left out',
    input: z.strictObject({
      windMperS: z.number().min(0).max(100),
      lineDiameterM,
      lineDensityKgperM3: densityKgperM3,
      tipHeightM: z.number().min(0).max(50),
      ringHeightM: z.number().min(0).max(1_000),
      ringDistanceM: z.number().min(0.1).max(2_000),
      slack: z.number().min(0).max(10),
      ringFriction: z.number().min(0).max(2),
      hungMassKg: nonNegative.max(100),
    }),
    output: z.object({
      lineToRingM: positive,
      ringTensionN: positive,
      ringAngleDeg: z.number(),
      wrapRad: nonNegative,
      lowestM: z.number(),
      hungForceN: nonNegative,
      leadMassKg: nonNegative,
    }),
    run: (input) => kiteLead(input),
  }),
}
