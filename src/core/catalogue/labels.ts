import { QUANTITIES } from '../units/quantities.ts'

/** Label steps that line is offered in, by unit, as printed on spools. */
const LABEL_STEPS = {
  lb: [4, 6, 8, 10, 12, 15, 20, 25, 30, 40, 50, 60, 80, 100, 130, 150, 200, 300],
  kg: [2, 3, 4, 6, 8, 10, 15, 24, 37, 60],
} as const

/** Label steps in newtons, smallest first; kilogram labels where the person thinks in kilograms or newtons, else pounds. */
export function labelStepsN(unit: string): number[] {
  const steps = unit === 'lb' ? LABEL_STEPS.lb : LABEL_STEPS.kg
  return steps.map((step) => step * QUANTITIES.strength.units[unit === 'lb' ? 'lb' : 'kg'])
}

/** The next label up (+1) or down (−1) from a strength, or the strength itself at the end of the steps. */
export function nextLabelN(strengthN: number, direction: 1 | -1, unit: string): number {
  const steps = labelStepsN(unit)
  const beyond = (step: number) => (direction === 1 ? step > strengthN * 1.001 : step < strengthN * 0.999)
  return (direction === 1 ? steps.find(beyond) : steps.findLast(beyond)) ?? strengthN
}

/** The smallest label at or above a strength. */
export function labelAtLeastN(neededN: number): number {
  const steps = labelStepsN('lb')
  return steps.find((step) => step >= neededN * 0.999) ?? steps.at(-1)!
}

/** The largest label at or below a strength. */
export function labelAtMostN(limitN: number): number {
  const steps = labelStepsN('lb')
  return steps.findLast((step) => step <= limitN * 1.001) ?? steps[0]!
}
