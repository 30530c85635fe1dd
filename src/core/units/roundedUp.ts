/** A weight as precise as it can be known, kg, rounded up: to 5 g, from 200 g to 10 g, from a kilogram to 50 g. */
export function roundedUpKg(kg: number): number {
  const stepsPerKg = kg < 0.2 ? 200 : kg < 1 ? 100 : 20
  return Math.ceil(kg * stepsPerKg - 1e-9) / stepsPerKg
}
