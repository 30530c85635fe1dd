import { z } from 'zod'
import { hookGang } from './bait/hookGang.ts'
import { castLoad } from './cast/load.ts'
import { castRange } from './cast/range.ts'
import { gearBarMass } from './gear/barMass.ts'
import { spoolFill } from './spool/fill.ts'
import { strengthChain } from './strength/chain.ts'
import { strengthDrag } from './strength/drag.ts'
import { strengthFailure } from './strength/failure.ts'
import { strengthWaterDragN } from './strength/waterDrag.ts'

/** One registered calculation: the command line, the API and the reference page all read this. */
export type Calculation<I = unknown, O = unknown> = {
  title: string
  source: string
  input: z.ZodType<I>
  output: z.ZodType<O>
  run: (input: I) => O
}

const positive = z.number().positive()
const nonNegative = z.number().nonnegative()
const share = z.number().positive().max(1)
const id = z.string().min(1)
const waterDensityKgperM3 = positive.optional()

const chainElement = z.discriminatedUnion('type', [
  z.strictObject({
    type: z.literal('line'),
    id,
    strengthN: positive,
    strands: z.int().positive().optional(),
    condition: share.optional(),
  }),
  z.strictObject({ type: z.literal('joint'), id, efficiencyAbove: share, efficiencyBelow: share }),
  z.strictObject({ type: z.literal('hardware'), id, strengthN: positive }),
])

const chainInput = z.strictObject({ path: z.array(chainElement).min(1) }).superRefine(({ path }, context) => {
  for (const [i, element] of path.entries())
    if (element.type === 'joint' && path[i - 1]?.type !== 'line' && path[i + 1]?.type !== 'line')
      context.addIssue({ code: 'custom', path: ['path', i], message: `Joint ${element.id} has no line on either side` })
})

const spoolInput = z
  .strictObject({
    capacityLengthM: positive,
    capacityDiameterM: positive,
    arborRadiusM: positive,
    fullRadiusM: positive,
    layers: z.array(z.strictObject({ id, diameterM: positive, lengthM: positive.optional() })).min(1),
    lineOutM: nonNegative,
  })
  .superRefine((spool, context) => {
    if (!(spool.fullRadiusM > spool.arborRadiusM))
      context.addIssue({ code: 'custom', path: ['fullRadiusM'], message: 'The full radius must exceed the arbor’s' })
    if (spool.layers.filter((layer) => layer.lengthM === undefined).length > 1)
      context.addIssue({ code: 'custom', path: ['layers'], message: 'At most one layer may leave its length out' })
  })

const define = <I, O>(calculation: Calculation<I, O>): Calculation<I, O> => calculation

/** Every calculation under its name, with its schemas, title and source. */
export const CALCULATIONS = {
  'strength.chain': define({
    title: 'Strength of each link of a path, and the weakest',
    source: 'Weakest-link chain; a joint counts by the weaker line beside it',
    input: chainInput,
    output: z.object({
      links: z.array(z.object({ id, strengthN: positive, governedBy: z.enum(['self', 'above', 'below']) })),
      weakest: z.object({ id, strengthN: positive }),
    }),
    run: ({ path }) => strengthChain(path),
  }),
  'strength.failure': define({
    title: 'Chance that each link goes first, and that nothing goes at a load',
    source: 'Order statistics of independent normal strengths, integrated numerically',
    input: z.strictObject({
      links: z.array(z.strictObject({ id, meanN: positive, variation: positive })).min(1),
      loadN: z.number(),
    }),
    output: z.object({ first: z.array(z.object({ id, probability: nonNegative })), survival: nonNegative }),
    run: ({ links, loadN }) => strengthFailure(links, loadN),
  }),
  'strength.drag': define({
    title: 'Peak load in a run, and the highest safe drag',
    source: 'Capstan equation (Euler–Eytelwein); constant drag torque',
    input: z.strictObject({
      weakestN: positive,
      lineClassN: positive,
      spoolFullRadiusM: positive,
      spoolRadiusM: positive,
      guideWrapRad: nonNegative,
      guideFriction: nonNegative,
      startFactor: positive,
      waterDragN: nonNegative,
      allowedFraction: share,
      dragN: nonNegative,
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
  'strength.waterDrag': define({
    title: 'Drag of line pulled lengthwise through water',
    source: 'S. F. Hoerner, Fluid-Dynamic Drag (1965)',
    input: z.strictObject({ lineOutM: nonNegative, diameterM: positive, speedMperS: nonNegative, waterDensityKgperM3 }),
    output: z.object({ dragN: nonNegative }),
    run: (input) => ({ dragN: strengthWaterDragN(input) }),
  }),
  'spool.fill': define({
    title: 'How full a spool is, and its radius with line out',
    source: 'Volume of an annulus; length × diameter² in the reel maker’s own winding',
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
    source: 'Work and energy along the stroke; beside it the rule of 10 lb for each ounce',
    input: z.strictObject({ massKg: positive, releaseSpeedMperS: positive, strokeM: positive, peakFactor: positive }),
    output: z.object({ peakN: positive, ruleN: positive }),
    run: castLoad,
  }),
  'cast.range': define({
    title: 'Range of a cast in still air',
    source: 'Point mass with quadratic drag; line drag left out (a further 10–25 %)',
    input: z.strictObject({
      massKg: positive,
      dragAreaM2: nonNegative,
      releaseSpeedMperS: positive,
      launchDeg: z.number().min(-89).max(89),
      releaseHeightM: nonNegative,
    }),
    output: z.object({ rangeM: nonNegative, timeS: nonNegative }),
    run: castRange,
  }),
  'hook.gang': define({
    title: 'Span of linked hooks on a bait',
    source: 'Geometry',
    input: z.strictObject({ baitLengthM: positive, hookPitchM: positive, linkLengthM: nonNegative, count: z.int().positive() }),
    output: z.object({ spanM: positive, coverage: positive }),
    run: hookGang,
  }),
  'gear.barMass': define({
    title: 'A weight cut from bar, and its weight in water',
    source: 'Geometry and Archimedes',
    input: z.strictObject({ diameterM: positive, lengthM: positive, densityKgperM3: positive, waterDensityKgperM3 }),
    output: z.object({ massKg: positive, submergedN: z.number() }),
    run: gearBarMass,
  }),
} satisfies Record<string, unknown>

export type CalculationName = keyof typeof CALCULATIONS

export type CalculationOutcome = { ok: true; output: unknown } | { ok: false; issues: z.core.$ZodIssue[] }

export function isCalculationName(name: string): name is CalculationName {
  return Object.hasOwn(CALCULATIONS, name)
}

/**
 * Runs a calculation on an unchecked input.
 * @returns the output, or the input's issues.
 * @throws CoreError when a valid input lies outside the calculation's range.
 */
export function calculate(name: CalculationName, input: unknown): CalculationOutcome {
  const calculation = CALCULATIONS[name] as Calculation
  const parsed = calculation.input.safeParse(input)
  return parsed.success ? { ok: true, output: calculation.run(parsed.data) } : { ok: false, issues: parsed.error.issues }
}
