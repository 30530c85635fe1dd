/** Every unit of the application and its factor to SI: the only place they are written. */
export const QUANTITIES = {
  strength: { si: 'N', units: { N: 1, lb: 4.4482216152605, kg: 9.80665, kN: 1000 } },
  mass: { si: 'kg', units: { g: 0.001, kg: 1, oz: 0.028349523125, lb: 0.45359237 } },
  /** The same dimension, but a fish is weighed in other units than a sinker. */
  fish: { si: 'kg', units: { kg: 1, lb: 0.45359237, st: 6.35029318, g: 0.001, oz: 0.028349523125 } },
  length: {
    si: 'm',
    units: { m: 1, cm: 0.01, mm: 0.001, ft: 0.3048, in: 0.0254, yd: 0.9144, fm: 1.8288, km: 1000 },
  },
  /** The same dimension, but water is sounded in other units than line is cut in. */
  depth: { si: 'm', units: { m: 1, ft: 0.3048, fm: 1.8288, cm: 0.01, in: 0.0254, yd: 0.9144 } },
  diameter: { si: 'm', units: { mm: 0.001, in: 0.0254 } },
  speed: { si: 'm/s', units: { 'm/s': 1, kn: 1852 / 3600, 'km/h': 1 / 3.6, mph: 0.44704 } },
} as const

export type Quantity = keyof typeof QUANTITIES

export const isQuantity = (name: string): name is Quantity => Object.hasOwn(QUANTITIES, name)

export const QUANTITY_NAMES: Record<Quantity, string> = {
  strength: 'strength',
  mass: 'weight',
  fish: 'weight of fish',
  length: 'length',
  depth: 'depth',
  diameter: 'diameter',
  speed: 'speed',
}

/** Factor from a unit of the quantity to SI, or undefined where the quantity has no such unit. */
export function factorToSi(quantity: Quantity, unit: string): number | undefined {
  const units: Record<string, number> = QUANTITIES[quantity].units
  return Object.hasOwn(units, unit) ? units[unit] : undefined
}

/** Diameter in metres of braid by PE number: d = 0.165 mm × √PE. Nominal, as makers print it. */
export function peDiameterM(peNumber: number): number {
  return 0.165e-3 * Math.sqrt(peNumber)
}

/** A pound of force, N: what labels and rules of the craft are given in. */
export const LB = QUANTITIES.strength.units.lb
