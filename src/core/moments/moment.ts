import type { MomentCalculationName } from '../calculations/momentCalculations.ts'
import type { LinkRef } from '../documents/linkRef.ts'
import type { PreparedSetup } from '../setup/prepareSetup.ts'
import type { Quantity } from '../units/quantities.ts'

export type Verdict = 'holds' | 'watch' | 'fails'

/** What kind of number a figure is; the word for it and the unit are for whoever shows it. `gearSize` is a length of hardware. */
export type FigureQuantity = Quantity | 'gearSize' | 'area' | 'duration' | 'angle' | 'share' | 'ratio' | 'count' | 'word'

/** Where a figure came from. */
export type Origin = 'document' | 'nominal' | 'own' | 'computed' | 'rule'

/** One input of a verdict, in SI, or an id where it is a word. */
export type Input = { key: string; quantity: FigureQuantity; value: number | string; origin: Origin; ref?: LinkRef }

/** The one figure a verdict is based on. */
export type Figure = { key: string; quantity: FigureQuantity; value: number }

/** One verdict, the figure behind it, and what it rests on; each moment adds its own. */
export type MomentResult<Name extends string = string> = {
  moment: Name
  verdict: Verdict
  /** The end (hook, lure, sinker) whose path decided. */
  end: string
  /** The link that decides. */
  decides: LinkRef
  figure: Figure
  /** What the figure has over what it needs: above 1 is room to spare, by the moment's own measure. */
  margin: number
  inputs: Input[]
}

/** One calculation on the way to a verdict, with exactly what goes in; a field that `from` leaves out was set in the documents. */
export type CalculationRequest = { calculation: MomentCalculationName; input: object; from: Readonly<Record<string, Origin>> }

/** A field of the conditions, of their water, or of how the line moves, that moves a verdict. */
export type ConditionLever = { of: 'conditions' | 'water' | 'moving'; field: string; quantity: Quantity | 'ratio' }

/** All that a moment is: one file makes one, and the table of moments lists it. */
export type MomentKind<Result extends MomentResult> = {
  /** The verdict; undefined where the moment does not apply. */
  judge: (setup: PreparedSetup) => Result | undefined
  /** The calculations behind a verdict, in order. */
  derive: (setup: PreparedSetup, result: Result) => CalculationRequest[]
  levers: readonly ConditionLever[]
}

/** How bad a verdict is: larger is worse. */
export const VERDICT_RANK: Readonly<Record<Verdict, number>> = { holds: 0, watch: 1, fails: 2 }

/** The worse of two verdicts. */
export function worseVerdict(a: Verdict, b: Verdict): Verdict {
  return VERDICT_RANK[a] >= VERDICT_RANK[b] ? a : b
}

/** Margins that differ by less than this are alike: what is left between them is how they were added up. */
const ROUNDING = 1e-12

/** The result that decides a moment: the worst verdict, and among equals the least margin; the first wins a draw. */
export function worstOf<T extends { verdict: Verdict; margin: number }>(results: readonly T[]): T | undefined {
  return results.reduce<T | undefined>((worst, next) => {
    if (!worst) return next
    const byVerdict = VERDICT_RANK[next.verdict] - VERDICT_RANK[worst.verdict]
    return byVerdict > 0 || (byVerdict === 0 && next.margin < worst.margin * (1 - ROUNDING)) ? next : worst
  }, undefined)
}

/** One thing that a moment is judged by: its own figure, verdict and margin. */
export type Graded<Cause extends string = string> = { cause: Cause; figure: Figure; verdict: Verdict; margin: number }

/** Of what one path is judged by, in the order of importance: the first with the worst verdict decides. */
export function decisive<Cause extends string>([main, ...others]: readonly [Graded<Cause>, ...Graded<Cause>[]]): Graded<Cause> {
  return others.reduce((worst, next) => (VERDICT_RANK[next.verdict] > VERDICT_RANK[worst.verdict] ? next : worst), main)
}

/** Grades a figure that is better when larger. */
export function gradeAtLeast(figure: number, { holds, watch }: { holds: number; watch: number }): Verdict {
  return figure >= holds ? 'holds' : figure >= watch ? 'watch' : 'fails'
}
