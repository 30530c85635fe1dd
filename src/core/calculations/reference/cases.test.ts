import { expect, test } from 'vitest'
import { CALCULATIONS, calculate, isCalculationName } from '../registry.ts'
import cases from './cases.json'

function expectClose(actual: unknown, expected: unknown, tolerance: number, where: string): void {
  if (typeof expected === 'number') {
    const error = Math.abs((actual as number) - expected)
    expect(error, `${where}: ${actual} against ${expected}`).toBeLessThanOrEqual(tolerance * Math.abs(expected))
  } else if (typeof expected === 'object' && expected !== null) {
    for (const [key, value] of Object.entries(expected))
      expectClose((actual as Record<string, unknown>)[key], value, tolerance, `${where}.${key}`)
  } else expect(actual, where).toBe(expected)
}

const covered = cases.filter(({ calculation }) => isCalculationName(calculation))

test.each(covered)('$calculation meets its independent case', ({ calculation, input, expected, relativeTolerance }) => {
  if (!isCalculationName(calculation)) throw new Error(calculation)
  const outcome = calculate(calculation, input)
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.issues))
  expect(CALCULATIONS[calculation].output.safeParse(outcome.output).success).toBe(true)
  expectClose(outcome.output, expected, relativeTolerance, calculation)
})

/** Of our own fields: held against closed forms, and what they must agree with, where they live. */
const OWN = ['water.line', 'tide.height', 'hook.suggest', 'troll.tow']

test('every registered calculation has at least one independent case', () => {
  expect(new Set([...covered.map(({ calculation }) => calculation), ...OWN])).toEqual(new Set(Object.keys(CALCULATIONS)))
})
