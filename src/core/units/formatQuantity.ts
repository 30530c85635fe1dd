import { factorToSi, type Quantity } from './quantities.ts'

export type Formatted = { value: string; unit: string }

/** Decimals that a computed figure is shown with; a fixed number, so that figures do not jump. */
const DECIMALS: Record<Quantity, Record<string, number>> = {
  strength: { lb: 1, kg: 2, N: 0, kN: 2 },
  mass: { g: 0, kg: 2, oz: 1, lb: 2 },
  fish: { kg: 1, lb: 1, st: 1, g: 0, oz: 0 },
  length: { m: 2, cm: 0, mm: 0, ft: 1, in: 1, yd: 1, fm: 1, km: 2 },
  depth: { m: 1, ft: 0, fm: 1, cm: 0, in: 0, yd: 1 },
  diameter: { mm: 2, in: 3 },
  speed: { kn: 1, 'm/s': 1, 'km/h': 1, mph: 1 },
}

/** From here on decimals are worth nothing: a strength is known to a twentieth, a length in the water to a metre, a hook’s gape to a millimetre. */
const LARGE: Partial<Record<Quantity, Record<string, number>>> = {
  strength: { lb: 20, kg: 20 },
  length: { m: 10, ft: 30, yd: 10, fm: 10 },
  diameter: { mm: 10 },
}

/**
 * A number as it was typed: the shortest decimal within rounding of it, so that 30 lb never comes back as 29.99.
 * A value that is not round in this unit, typed in another or a default, falls back to the decimals of a computed figure.
 */
export function formatEntered(quantity: Quantity, si: number, unit: string): Formatted {
  const value = si / factorOf(quantity, unit)
  for (let decimals = 0; decimals <= 4; decimals += 1) {
    const rounded = Number(value.toFixed(decimals))
    if (Math.abs(rounded - value) <= 1e-9 * Math.abs(value)) return { value: String(rounded), unit }
  }
  return { value: String(Number(value.toFixed(decimalsOf(quantity, unit)))), unit }
}

/** A computed figure, rounded to what it is worth: with the fixed decimals of its unit, and from some size on without. */
export function formatComputed(quantity: Quantity, si: number, unit: string): Formatted {
  const value = si / factorOf(quantity, unit)
  const isLarge = Math.abs(value) >= (LARGE[quantity]?.[unit] ?? Number.POSITIVE_INFINITY)
  return { value: value.toFixed(isLarge ? 0 : decimalsOf(quantity, unit)), unit }
}

/** A length to be cut or put by the tape, whatever its size. */
export function formatTape(si: number, unit: string): Formatted {
  return { value: (si / factorOf('length', unit)).toFixed(decimalsOf('length', unit)), unit }
}

const decimalsOf = (quantity: Quantity, unit: string) => DECIMALS[quantity][unit] ?? 2

function factorOf(quantity: Quantity, unit: string): number {
  const factor = factorToSi(quantity, unit)
  if (factor === undefined) throw new TypeError(`${unit} is not a unit of ${quantity}`)
  return factor
}
