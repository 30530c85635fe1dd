import {
  type FitOf,
  FREE_GAPE,
  fitInput,
  fitOf,
  LIVE_MASS_SHARE,
  MOUTH_SHARE,
  STRAIGHTEN_MARGIN,
} from '../catalogue/hookSuggest.ts'
import { isCircle, straighteningLoadN } from '../catalogue/hooks.ts'
import type { HookPattern } from '../catalogue/ids.ts'
import type { Target } from '../documents/fish.ts'
import { pieceRef } from '../documents/linkRef.ts'
import { type Baited, baitedHooks } from '../setup/baiting.ts'
import type { PreparedSetup } from '../setup/prepareSetup.ts'
import { twistsOf } from '../setup/settling/twist.ts'
import { biteOff, gradedBite } from './biteOff.ts'
import {
  type CalculationRequest,
  type Graded,
  gradeAtLeast,
  type Input,
  type MomentKind,
  type MomentResult,
  type Verdict,
  worstOf,
} from './moment.ts'
import { COVERAGE } from './thresholds.ts'

/** What a hook is judged by as it is taken. */
export type TakeCause = 'freeGape' | 'massShare' | 'widthShare' | 'straightenMargin' | 'coverage' | 'spin' | 'kind' | 'teeth'

/** One baited hook: how it fits, and by each cause how well. */
export type TakeHook = Baited & {
  fit: FitOf
  graded: Graded<TakeCause>[]
  worst: Graded<TakeCause>
  verdict: Verdict
  margin: number
}

export type Take = MomentResult<'take'> & { hooks: TakeHook[]; deciding: TakeHook }

/** Hook and bait as a fish takes them. */
export const TAKE: MomentKind<Take> = {
  judge: judgeTake,
  derive: deriveTake,
  levers: [{ of: 'conditions', field: 'dragN', quantity: 'strength' }],
}

/**
 * Of each baited hook the gap that the bait leaves free, its mass over a live bait's, the load that opens it over the drag, what
 * linked hooks cover of the bait, and whether a bait that spins has a swivel near; the worst decides. Undefined without a bait on a hook.
 */
function judgeTake(setup: PreparedSetup): Take | undefined {
  const spins = new Set(twistsOf(setup).flatMap(({ id, swivel }) => (swivel?.takes ? [] : [id])))
  const hooks = baitedHooks(setup).map((baited) => judgedHook(setup, baited, spins.has(baited.bait.id)))
  const deciding = worstOf(hooks)
  if (!deciding) return undefined
  const { worst, verdict, margin, hook } = deciding
  return {
    moment: 'take',
    verdict,
    end: hook.id,
    decides: pieceRef(hook.id),
    figure: worst.figure,
    margin,
    inputs: inputsOf(deciding),
    hooks,
    deciding,
  }
}

function judgedHook(setup: PreparedSetup, baited: Baited, spins: boolean): TakeHook {
  const { catalogue } = setup
  const { target } = setup.conditions
  const bite = biteOff(setup, baited.hook)
  const fit = fitOf(catalogue, baited.hook.pattern, baited.dimensions, baited.wanted)
  const graded: Graded<TakeCause>[] = [
    atLeast('freeGape', 'share', roundToPercent(fit.freeGape), FREE_GAPE),
    ...(baited.body.alive ? [atMost('massShare', fit.massShare, LIVE_MASS_SHARE)] : []),
    ...(fit.widthShare === undefined ? [] : [atMost('widthShare', fit.widthShare, MOUTH_SHARE)]),
    ...(fit.straightenMargin === undefined
      ? []
      : [atLeast('straightenMargin', 'ratio', fit.straightenMargin, STRAIGHTEN_MARGIN)]),
    ...(baited.gang ? [coverageGrade(baited.gang.coverage)] : []),
    ...(target && !suitsFish(baited.hook.pattern, target)
      ? [{ cause: 'kind', figure: { key: 'kind', quantity: 'count', value: 0 }, verdict: 'watch', margin: 0.6 } as const]
      : []),
    ...(bite?.isRisk ? [gradedBite(bite)] : []),
    ...(spins
      ? [{ cause: 'spin', figure: { key: 'spin', quantity: 'count', value: 1 }, verdict: 'watch', margin: 0.5 } as const]
      : []),
  ]
  const worst = worstOf(graded)!
  return { ...baited, fit, graded, worst, verdict: worst.verdict, margin: worst.margin }
}

/** A circle for what goes back, and none for what is said to shake it out and is kept. */
const suitsFish = (pattern: HookPattern, { released, shakesCircles }: Target): boolean =>
  released ? isCircle(pattern) : !(shakesCircles && isCircle(pattern))

function atLeast(
  cause: TakeCause,
  quantity: 'share' | 'ratio',
  value: number,
  limits: { holds: number; watch: number },
): Graded<TakeCause> {
  return { cause, figure: { key: cause, quantity, value }, verdict: gradeAtLeast(value, limits), margin: value / limits.holds }
}

function atMost(cause: TakeCause, value: number, { holds, watch }: { holds: number; watch: number }): Graded<TakeCause> {
  return {
    cause,
    figure: { key: cause, quantity: 'share', value },
    verdict: value <= holds ? 'holds' : value <= watch ? 'watch' : 'fails',
    margin: holds / value,
  }
}

/** A share is worth a hundredth: what shows as the limit keeps it. */
const roundToPercent = (share: number) => Math.round(100 * share) / 100

/** Whether linked hooks hold as much of a bait as they should. */
export const coversWell = (coverage: number): boolean =>
  roundToPercent(coverage) >= COVERAGE.least && roundToPercent(coverage) <= COVERAGE.most

/** Within the span that holds a bait; near it is to be watched, and so is what lies far off: it costs bites, no more. */
function coverageGrade(value: number): Graded<TakeCause> {
  const { least, most } = COVERAGE
  return {
    cause: 'coverage',
    figure: { key: 'coverage', quantity: 'share', value },
    verdict: coversWell(value) ? 'holds' : 'watch',
    margin: Math.min(value / least, most / value),
  }
}

function inputsOf({ dimensions, body, wanted, fit, hook, hooks, gang }: TakeHook): Input[] {
  const measured = hook.gapeM === undefined ? 'nominal' : 'document'
  return [
    { key: 'gape', quantity: 'gearSize', value: dimensions.gapeM, origin: measured },
    { key: 'baitDepth', quantity: 'gearSize', value: body.depthM, origin: 'nominal' },
    { key: 'buried', quantity: 'gearSize', value: (1 - fit.freeGape) * dimensions.gapeM, origin: 'nominal' },
    { key: 'freeGape', quantity: 'share', value: fit.freeGape, origin: 'computed' },
    { key: 'baitMass', quantity: 'mass', value: body.massKg, origin: 'document' },
    { key: 'hookMass', quantity: 'mass', value: dimensions.massKg, origin: 'nominal' },
    { key: 'massShare', quantity: 'share', value: fit.massShare, origin: 'computed' },
    { key: 'drag', quantity: 'strength', value: wanted.loadN ?? 0, origin: 'document' },
    {
      key: 'straightensAt',
      quantity: 'strength',
      value: straighteningLoadN(dimensions.wireM, dimensions.gapeM),
      origin: 'nominal',
    },
    ...(fit.widthShare === undefined
      ? []
      : ([
          { key: 'mouth', quantity: 'gearSize', value: wanted.mouthWidthM ?? 0, origin: 'document' },
          { key: 'widthShare', quantity: 'share', value: fit.widthShare, origin: 'computed' },
        ] as const)),
    { key: 'hooksInBait', quantity: 'count', value: hooks.length, origin: 'document' },
    ...(gang
      ? ([
          { key: 'hookSpan', quantity: 'length', value: gang.spanM, origin: 'computed' },
          { key: 'coverage', quantity: 'share', value: gang.coverage, origin: 'computed' },
        ] as const)
      : []),
  ]
}

function deriveTake({ catalogue }: PreparedSetup, { deciding }: Take): CalculationRequest[] {
  const { hook, dimensions, wanted, gang, hooks, body } = deciding
  const fit: CalculationRequest = {
    calculation: 'hook.fit',
    input: fitInput(catalogue, hook.pattern, dimensions, wanted),
    from: { gapeM: 'nominal', buriedM: 'computed', hookMassKg: 'nominal', hookWidthM: 'nominal', straightensAtN: 'nominal' },
  }
  if (!gang) return [fit]
  return [
    fit,
    {
      calculation: 'hook.gang',
      input: { baitLengthM: body.lengthM, hookPitchM: gang.pitchM, linkLengthM: gang.linkM, count: hooks.length },
      from: { hookPitchM: 'nominal', linkLengthM: 'computed' },
    },
  ]
}
