import { z } from 'zod'
import { NOMINAL_CATALOGUE } from '../catalogue/catalogue.ts'
import { hookSuggest } from '../catalogue/hookSuggest.ts'
import { BAIT_FORM_IDS, HOOK_PATTERN_IDS } from '../catalogue/ids.ts'
import {
  define,
  densityKgperM3,
  gearLengthM,
  id,
  lineDiameterM,
  lineLengthM,
  lineOutM,
  MAX_LINKS,
  massKg,
  nonNegative,
  positive,
  pullN,
  share,
  speedMperS,
  strengthN,
  waterDensityKgperM3,
} from '../physics/calculation.ts'
import { castLoad } from '../physics/cast/load.ts'
import { castRange } from '../physics/cast/range.ts'
import { FLOWN_CALCULATIONS } from '../physics/flown/flownCalculations.ts'
import { gearBarMass } from '../physics/gear/barMass.ts'
import { hookFit } from '../physics/hooking/hookFit.ts'
import { hookGang } from '../physics/hooking/hookGang.ts'
import { spoolFill } from '../physics/spool/fill.ts'
import { strengthChain } from '../physics/strength/chain.ts'
import { strengthDrag } from '../physics/strength/drag.ts'
import { strengthFailure } from '../physics/strength/failure.ts'
import { strengthLunge } from '../physics/strength/lunge.ts'
import { chanceBetter, testedEfficiency } from '../physics/strength/testedEfficiency.ts'
import { strengthWaterDragN } from '../physics/strength/waterDrag.ts'
import { WATER_CALCULATIONS } from '../physics/water/waterCalculations.ts'

const chainElement = z.discriminatedUnion('type', [
  z.strictObject({
    type: z.literal('line'),
    id,
    strengthN,
    strands: z.int().min(1).max(100).optional(),
    condition: share.optional(),
  }),
  z.strictObject({ type: z.literal('joint'), id, efficiencyAbove: share, efficiencyBelow: share }),
  z.strictObject({ type: z.literal('hardware'), id, strengthN }),
])

const chainInput = z
  .strictObject({ path: z.array(chainElement).min(1).max(MAX_LINKS, { abort: true }) })
  .superRefine(({ path }, context) => {
    for (const [i, element] of path.entries())
      if (element.type === 'joint' && path[i - 1]?.type !== 'line' && path[i + 1]?.type !== 'line')
        context.addIssue({ code: 'custom', path: ['path', i], message: `Joint ${element.id} has no line on either side` })
  })

/** Standard deviation over the mean. */
const variation = z.number().min(1e-6).max(1)

const failureInput = z
  .strictObject({
    links: z
      .array(
        z.union([
          z.strictObject({ id, meanN: strengthN, variation }),
          z.strictObject({ id, line: id, efficiency: z.number().min(1e-3).max(10), variation }),
        ]),
      )
      .min(1)
      .max(MAX_LINKS, { abort: true }),
    loadN: pullN,
  })
  .superRefine(({ links }, context) => {
    const lines = new Set(links.flatMap((link) => ('meanN' in link ? [link.id] : [])))
    for (const [i, link] of links.entries())
      if ('line' in link && !lines.has(link.line))
        context.addIssue({ code: 'custom', path: ['links', i, 'line'], message: `There is no line ${link.line} among the links` })
  })

const spoolInput = z
  .strictObject({
    capacityLengthM: lineLengthM,
    capacityDiameterM: lineDiameterM,
    arborRadiusM: gearLengthM,
    fullRadiusM: gearLengthM,
    layers: z
      .array(z.strictObject({ id, diameterM: lineDiameterM, lengthM: lineLengthM.optional() }))
      .min(1)
      .max(20),
    lineOutM,
  })
  .superRefine((spool, context) => {
    if (!(spool.fullRadiusM > spool.arborRadiusM))
      context.addIssue({ code: 'custom', path: ['fullRadiusM'], message: 'The full radius must exceed the arbor’s' })
    if (spool.layers.filter((layer) => layer.lengthM === undefined).length > 1)
      context.addIssue({ code: 'custom', path: ['layers'], message: 'At most one layer may leave its length out' })
  })

/** More pulls than anyone makes of one knot. */
const MAX_PULLS = 2_000
const testsInput = z.strictObject({
  nominalEfficiency: share,
  nominalVariation: z.number().min(1e-3).max(1),
  priorWeight: z.number().min(1e-3).max(1_000),
  priorDegrees: z.number().min(2.001).max(1_000),
  tested: z.array(z.number().min(1e-3).max(2)).max(MAX_PULLS, { abort: true }),
})

const flyingKg = z.number().min(1e-4).max(10)
const releaseSpeedMperS = z.number().min(0.1).max(150)

/** The calculations that the moments use, under their names, with schemas, title and source. */
export const MOMENT_CALCULATIONS = {
  'strength.chain': define({
    title: 'Strength of each link of a path, and the weakest',
    formula:
      'line: strengthN × strands × condition;  joint: min(efficiencyAbove × line above, efficiencyBelow × line below);  weakest = the lowest',
    source: 'Weakest-link chain; a joint counts by the weaker line beside it',
    valid: 'efficiencies of several joints are never multiplied together',
    input: chainInput,
    output: z.object({
      links: z.array(z.object({ id, strengthN: positive, governedBy: z.enum(['self', 'above', 'below']) })),
      weakest: z.object({ id, strengthN: positive }),
    }),
    run: ({ path }) => strengthChain(path),
  }),
  'strength.failure': define({
    title: 'Chance that each link breaks first, and that nothing breaks at a load',
    formula:
      'first_i = ∫ f_i(L) Π_{j≠i} (1 − F_j(L)) dL;  survival = Π (1 − F_i(loadN)), F_i normal about meanN with variation × meanN;  a joint that names its line is a share of it: S(L) = ∫ φ(x) Π_j (1 − F_j(L/x)) dx over x > L',
    source:
      'Order statistics of normal strengths, integrated numerically; joints of one line are independent once its strength is known',
    valid: 'a steadily growing pull, no shock; a joint across two lines belongs to the side that governs it',
    input: failureInput,
    output: z.object({ first: z.array(z.object({ id, probability: nonNegative })), survival: nonNegative }),
    run: ({ links, loadN }) => strengthFailure(links, loadN),
  }),
  'strength.drag': define({
    title: 'Peak load in a run, and the highest safe drag',
    formula:
      'multiplier = startFactor × (spoolFullRadiusM / spoolRadiusM) × e^(guideFriction × guideWrapRad);  peakN = dragN × multiplier + waterDragN;  ceilingN = max(0, (allowedFraction × weakestN − waterDragN) / multiplier)',
    source: 'Capstan equation (Euler–Eytelwein); constant drag torque',
    valid: 'drag measured straight off a full spool; friction and wrap as means over the bent rod’s guides',
    input: z.strictObject({
      weakestN: strengthN,
      lineClassN: strengthN,
      spoolFullRadiusM: gearLengthM,
      spoolRadiusM: gearLengthM,
      guideWrapRad: z.number().min(0).max(10),
      guideFriction: z.number().min(0).max(2),
      startFactor: z.number().min(0.1).max(10),
      waterDragN: pullN,
      allowedFraction: share,
      dragN: pullN,
    }),
    output: z.object({
      multiplier: positive,
      ceilingN: nonNegative,
      ceilingShareOfClass: nonNegative,
      peakN: nonNegative,
      peakShareOfWeakest: nonNegative,
    }),
    run: strengthDrag,
  }),
  'strength.lunge': define({
    title: 'Peak load of a sudden run before the spool turns',
    formula:
      '1/k = Σ L/(E π d²/4) + 1/k_rod;  peakAtReelN = dragN + √(((startFactor − 1) dragN)² + v² k m);  peakN = peakAtReelN e^(μ · wrap)',
    source: 'Hooke’s law; energy of a spring and a mass brought to a speed; capstan equation (Euler–Eytelwein)',
    valid: 'small stretch, the drag as it slips; a rod that points at the fish has no give',
    input: z.strictObject({
      dragN: z.number().min(0.1).max(5_000),
      startFactor: z.number().min(1).max(3),
      speedMperS: nonNegative.max(25),
      layers: z
        .array(z.strictObject({ lengthM: lineLengthM, diameterM: lineDiameterM, modulusPa: z.number().min(1e7).max(1e12) }))
        .min(1)
        .max(20),
      spoolEffectiveMassKg: z.number().min(1e-4).max(100),
      guideWrapRad: nonNegative.max(Math.PI),
      guideFriction: nonNegative.max(1),
      rodStiffnessNperM: z.number().min(0.1).max(1e6).optional(),
    }),
    output: z.object({ stiffnessNperM: positive, peakAtReelN: positive, peakN: positive }),
    run: strengthLunge,
  }),
  'strength.waterDrag': define({
    title: 'Drag of line pulled lengthwise through water',
    formula: 'dragN = ½ ρ Ct diameterM × lineOutM × speedMperS², Ct = 0.03',
    source: 'S. F. Hoerner, Fluid-Dynamic Drag (1965)',
    valid: 'a straight line pulled lengthwise; a bow adds the drag of its cross-flow part',
    input: z.strictObject({ lineOutM, diameterM: lineDiameterM, speedMperS, waterDensityKgperM3 }),
    output: z.object({ dragN: nonNegative }),
    run: (input) => ({ dragN: strengthWaterDragN(input) }),
  }),
  'spool.fill': define({
    title: 'How full a spool is, and its radius with line out',
    formula:
      'share = lengthM × diameterM² / (capacityLengthM × capacityDiameterM²);  r² = arbor² + share left × (full² − arbor²);  dragGrowth = radiusFullM / radiusM',
    source: 'Volume of an annulus; length × diameter² in the reel maker’s own winding',
    valid: 'line packed as the reel maker’s own winding; a wrong diameter counts by its square',
    input: spoolInput,
    output: z.object({
      layers: z.array(z.object({ id, lengthM: positive, share: positive })),
      fillShare: positive,
      radiusFullM: positive,
      radiusM: positive,
      dragGrowth: positive,
    }),
    run: spoolFill,
  }),
  'cast.load': define({
    title: 'Peak pull of a cast',
    formula: 'peakN = massKg × (peakFactor × releaseSpeedMperS² / (2 × strokeM) + g);  ruleN = 10 lbf for each ounce',
    source: 'Work and energy along the stroke; beside it the rule of 10 lb for each ounce',
    valid: 'one even stroke; release speeds of the styles are nominal',
    input: z.strictObject({
      massKg: flyingKg,
      releaseSpeedMperS,
      strokeM: gearLengthM,
      peakFactor: z.number().min(0.1).max(100),
    }),
    output: z.object({ peakN: positive, ruleN: positive }),
    run: castLoad,
  }),
  'cast.range': define({
    title: 'Range of a cast in still air',
    formula: 'm dv/dt = −½ ρ_air dragAreaM2 |v| v − m g, from releaseHeightM down to 0',
    source: 'Point mass with quadratic drag; line drag left out (a further 10–25 %)',
    valid: 'still air; line drag left out, a further 10–25 %',
    input: z.strictObject({
      massKg: flyingKg,
      dragAreaM2: z.number().min(0).max(1),
      releaseSpeedMperS,
      launchDeg: z.number().min(-89).max(89),
      releaseHeightM: z.number().min(0).max(200),
    }),
    output: z.object({ rangeM: nonNegative, timeS: nonNegative }),
    run: castRange,
  }),
  'hook.gang': define({
    title: 'Span of linked hooks on a bait',
    formula: 'spanM = count × hookPitchM + (count − 1) × linkLengthM;  coverage = spanM / baitLengthM',
    source: 'Geometry',
    valid: 'hooks in one line along the bait',
    input: z.strictObject({
      baitLengthM: gearLengthM,
      hookPitchM: gearLengthM,
      linkLengthM: z.number().min(0).max(20),
      count: z.int().min(1).max(100),
    }),
    output: z.object({ spanM: positive, coverage: positive }),
    run: hookGang,
  }),
  'hook.fit': define({
    title: 'How a hook fits its bait, the mouth and its load',
    formula:
      'freeGape = (gapeM − buriedM) / gapeM;  massShare = hookMassKg / baitMassKg;  widthShare = hookWidthM / mouthWidthM;  straightenMargin = straightensAtN / loadN',
    source: 'Geometry',
    valid: 'freeGape below 0: more bait lies in the gap than it is wide',
    input: z.strictObject({
      gapeM: gearLengthM,
      buriedM: z.number().min(0).max(20),
      hookMassKg: massKg,
      baitMassKg: massKg,
      hookWidthM: gearLengthM,
      mouthWidthM: gearLengthM,
      loadN: strengthN,
      straightensAtN: strengthN,
    }),
    output: z.object({ freeGape: z.number().max(1), massShare: positive, widthShare: positive, straightenMargin: positive }),
    run: hookFit,
  }),
  'hook.suggest': define({
    title: 'Hook sizes for a bait, best first',
    formula:
      'usual = share of baitDepthM by form and pattern, of a fish at least a share of baitLengthM;  fit = gapeM/usual;  freeGape = 1 − 0.35/fit;  of the sizes with 0.7 ≤ fit ≤ 1.6, massShare ≤ 0.03 (alive), widthShare ≤ 0.6 and straightenMargin ≥ 1.3 those with the least |ln fit|, then those that fall short the least',
    source: 'Usual gapes of the craft, on hook.fit and the nominal dimensions of hooks',
    valid: 'sizes of the catalogue, 20 to 20/0; at most five',
    input: z.strictObject({
      pattern: z.enum(HOOK_PATTERN_IDS),
      form: z.enum(BAIT_FORM_IDS),
      baitLengthM: gearLengthM,
      baitDepthM: gearLengthM,
      baitMassKg: massKg,
      alive: z.boolean(),
      rig: z.enum(['single', 'tandem', 'chain']),
      mouthWidthM: gearLengthM.optional(),
      loadN: strengthN.optional(),
    }),
    output: z.object({
      sizes: z.array(
        z.object({
          size: z.string(),
          gapeM: positive,
          fit: positive,
          freeGape: z.number(),
          massShare: positive,
          widthShare: positive.optional(),
          straightenMargin: positive.optional(),
          why: z.string(),
        }),
      ),
    }),
    run: (input) => hookSuggest(NOMINAL_CATALOGUE, input),
  }),
  'gear.barMass': define({
    title: 'A weight cut from bar, and its weight in water',
    formula: 'massKg = ρ π/4 diameterM² lengthM;  submergedN = (ρ − ρ_water) g × volume',
    source: 'Geometry and Archimedes',
    valid: 'a solid round bar',
    input: z.strictObject({ diameterM: gearLengthM, lengthM: gearLengthM, densityKgperM3, waterDensityKgperM3 }),
    output: z.object({ massKg: positive, submergedN: z.number() }),
    run: gearBarMass,
  }),
  'tests.efficiency': define({
    title: 'Share of the line’s strength that a connection keeps, after one’s own pulls',
    formula:
      'κₙ = κ₀ + n;  mean = (κ₀ nominal + Σx)/κₙ;  αₙ = ν₀/2 + n/2;  βₙ = (ν₀/2 − 1)(variation · nominal)² + ½Σ(x − x̄)² + κ₀ n (x̄ − nominal)²/(2κₙ);  low, high = mean ∓ t₀.₉₅(2αₙ) √(βₙ/(αₙ κₙ));  variation = √(βₙ/(αₙ − 1))/mean',
    source: 'Conjugate prior of a normal mean and variance (normal–inverse-gamma)',
    valid: 'pulls that do not depend on each other; a slip is no break and is counted apart',
    input: testsInput,
    output: z.object({ mean: positive, low: z.number(), high: positive, variation: positive }),
    run: testedEfficiency,
  }),
  'tests.better': define({
    title: 'Chance that one connection’s mean is over another’s',
    formula: 'probability = ∫ f_a(x) F_b(x) dx, f_a and F_b as tests.efficiency has them',
    source: 'Two independent Student’s t, integrated numerically',
    valid: 'the two were pulled apart from each other, each as tests.efficiency asks',
    input: z.strictObject({ a: testsInput, b: testsInput }),
    output: z.object({ probability: nonNegative.max(1) }),
    run: ({ a, b }) => ({ probability: chanceBetter(a, b) }),
  }),
  ...WATER_CALCULATIONS,
  ...FLOWN_CALCULATIONS,
} satisfies Record<string, unknown>

export type MomentCalculationName = keyof typeof MOMENT_CALCULATIONS
