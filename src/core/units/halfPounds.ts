import { QUANTITIES } from './quantities.ts'

const HALF_POUND_N = QUANTITIES.strength.units.lb / 2
/** Half-pounds by which a pull may miss a whole step through rounding. */
const ROUNDING = 1e-9

/** The largest whole number of half-pounds within a pull, N: the steps in which a drag is set by hand. */
export const withinHalfPoundsN = (pullN: number): number => Math.floor(pullN / HALF_POUND_N + ROUNDING) * HALF_POUND_N
