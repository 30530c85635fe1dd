import type { z } from 'zod'
import type { Calculation } from '../physics/calculation.ts'
import { TIDE_CALCULATIONS } from '../physics/tide/tideCalculations.ts'
import { STATISTICS_CALCULATIONS } from '../statistics/statisticsCalculations.ts'
import { STOCK_CALCULATIONS } from '../stock/stockCalculations.ts'
import { MOMENT_CALCULATIONS } from './momentCalculations.ts'

/** Every calculation under its name. */
export const CALCULATIONS = {
  ...MOMENT_CALCULATIONS,
  ...TIDE_CALCULATIONS,
  ...STOCK_CALCULATIONS,
  ...STATISTICS_CALCULATIONS,
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
