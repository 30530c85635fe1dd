import { factorToSi, QUANTITIES, type Quantity } from './quantities.ts'

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

/** Decimals that someone types, and the most that are shown as typed. */
const TYPED_DECIMALS = 2
const MAX_DECIMALS = 4

/**
 * A number as it was typed: the shortest decimal within rounding of it, so that 30 lb never comes back as 29.99.
 * A value that is not round in this unit, or is rounder in another (5 ft are 1.524 m), falls back to the decimals of a computed figure.
 */
export function formatEntered(quantity: Quantity, si: number, unit: string): Formatted {
  const value = si / factorOf(quantity, unit)
  const rounded =
    shortest(value, TYPED_DECIMALS) ?? (isTypedInAnother(quantity, si, unit) ? undefined : shortest(value, MAX_DECIMALS))
  return rounded === undefined
    ? { value: String(Number(formatComputed(quantity, si, unit).value)), unit }
    : { value: String(rounded), unit }
}

/** The number with the fewest decimals that is within rounding of a value; undefined where it takes more than so many. */
function shortest(value: number, maxDecimals: number): number | undefined {
  for (let decimals = 0; decimals <= maxDecimals; decimals += 1) {
    const rounded = Number(value.toFixed(decimals))
    if (Math.abs(rounded - value) <= 1e-9 * Math.abs(value)) return rounded
  }
  return undefined
}

const METRIC: readonly string[] = ['N', 'kN', 'kg', 'g', 'm', 'cm', 'mm', 'km', 'm/s', 'km/h']

/** Whether a value is a number of at most two decimals in a unit of the other system: metric, or feet, pounds and knots. */
const isTypedInAnother = (quantity: Quantity, si: number, unit: string): boolean =>
  Object.entries(QUANTITIES[quantity].units).some(
    ([other, factor]) => METRIC.includes(other) !== METRIC.includes(unit) && shortest(si / factor, TYPED_DECIMALS) !== undefined,
  )

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
