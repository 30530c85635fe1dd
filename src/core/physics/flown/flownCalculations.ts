import { z } from 'zod'
import {
  areaM2,
  define,
  densityKgperM3,
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

/** More lines one after the other than anyone tows. */
const MOST_LAYERS = 12
const BERTEAUX = 'H. O. Berteaux, Buoy Engineering (1976); S. F. Hoerner, Fluid-Dynamic Drag (1965)'
const EQUILIBRIUM = 'd(T t)/ds + f − w ẑ = 0, dr/ds = t, f = ½ρCn d |Un| Un + ½ρCt d |Ut| Ut'

const towed = {
  speedMperS: z.number().min(0).max(20),
  layers: z
    .array(z.strictObject({ lengthM: lineLengthM, diameterM: lineDiameterM, densityKgperM3 }))
    .min(1)
    .max(MOST_LAYERS, { abort: true }),
  endMassKg: massKg,
  endDensityKgperM3: densityKgperM3,
  endDragAreaM2: areaM2,
  waterDensityKgperM3,
}

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
  'kite.lead': define({
    title: 'The lead that keeps a bait in the water under a kite',
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
