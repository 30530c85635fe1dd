import { type Formatted, formatComputed, formatDepth, formatEntered, formatTape } from '../../core/units/formatQuantity.ts'
import type { Quantity } from '../../core/units/quantities.ts'

/** The unit that each quantity is shown in. */
export type Units = Record<Quantity, string>

export type Show = {
  /** A length to be cut or put by the tape. */
  tape: (lengthM: number) => string
  /** A depth of water. */
  depth: (depthM: number) => string
  /** A computed figure with its unit, rounded to what it is worth. */
  computed: (quantity: Quantity, si: number) => string
  /** A number as it was typed, with its unit. */
  entered: (quantity: Quantity, si: number) => string
}

const joined = ({ value, unit }: Formatted) => `${value} ${unit}`

/** Formats quantities in some units. */
export const showIn = (units: Units): Show => ({
  tape: (lengthM) => joined(formatTape(lengthM, units.length)),
  depth: (depthM) => joined(formatDepth(depthM, units.length)),
  computed: (quantity, si) => joined(formatComputed(quantity, si, units[quantity])),
  entered: (quantity, si) => joined(formatEntered(quantity, si, units[quantity])),
})
