import { type Formatted, formatComputed, formatEntered, formatTape } from '../../core/units/formatQuantity.ts'
import { percent } from '../../core/units/percent.ts'
import type { Quantity } from '../../core/units/quantities.ts'
import { clockWords, dateWords, type Formats, hourWords, withSign } from './formats.ts'

/** Asked for when it is needed: the first time takes a while. */
const browserZone = () => new Intl.DateTimeFormat().resolvedOptions().timeZone

/** The unit that each quantity is shown in. */
export type Units = Record<Quantity, string>

/** The unit that heights of the tide are shown and typed in: tables have none in fathoms. */
export const tideUnit = ({ depth }: Units): 'm' | 'ft' => (depth === 'm' ? 'm' : 'ft')

export type Show = {
  /** A length to be cut or put by the tape. */
  tape: (lengthM: number) => string
  /** A depth of water. */
  depth: (depthM: number) => string
  /** A computed figure with its unit, rounded to what it is worth. */
  computed: (quantity: Quantity, si: number) => string
  /** A number as it was typed, with its unit. */
  entered: (quantity: Quantity, si: number) => string
  /** A number as it is, with the reader's decimal sign. */
  plain: (value: number) => string
  /** A figure without a unit, such as a ratio. */
  number: (value: number, decimals: number) => string
  percent: (share: number, decimals?: number) => string
  /** Clock time on the wall of a zone; of this browser's, if none is given. */
  clock: (timeMs: number, timeZone?: string) => string
  /** A full hour of a day, 0 to 24. */
  hour: (hour: number) => string
  /** The day of an instant in this browser's zone, or a calendar day such as `2026-11-24`. */
  date: (day: Date | string) => string
}

/** Writes quantities, numbers and times in some units and formats. */
export function showIn(units: Units, formats: Formats): Show {
  const joined = ({ value, unit }: Formatted) => `${withSign(value, formats)} ${unit}`
  const number = (value: number, decimals: number) => withSign(value.toFixed(decimals), formats)
  return {
    tape: (lengthM) => joined(formatTape(lengthM, units.length)),
    depth: (depthM) => joined(formatComputed('depth', depthM, units.depth)),
    computed: (quantity, si) => joined(formatComputed(quantity, si, units[quantity])),
    entered: (quantity, si) => joined(formatEntered(quantity, si, units[quantity])),
    plain: (value) => withSign(String(value), formats),
    number,
    percent: (share, decimals = 0) => withSign(percent(share, decimals), formats),
    clock: (timeMs, timeZone = browserZone()) => clockWords(timeZone, timeMs, formats),
    hour: (hour) => hourWords(hour, formats),
    date: (day) => dateWords(typeof day === 'string' ? new Date(`${day}T00:00`) : day, formats),
  }
}
