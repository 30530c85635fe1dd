const SQRT_TWO_PI = Math.sqrt(2 * Math.PI)

/** Density of the standard normal distribution at z. */
export function normalPdf(z: number): number {
  return Math.exp(-0.5 * z * z) / SQRT_TWO_PI
}

/**
 * Cumulative standard normal distribution at z, to about 1e-15.
 * Source: J. F. Hart, Computer Approximations (1968), algorithm 5666, as given by G. West,
 * Better Approximations to Cumulative Normal Functions (2005). Valid for every finite z.
 */
export function normalCdf(z: number): number {
  const a = Math.abs(z)
  if (a > 37) return z > 0 ? 1 : 0
  const tail = Math.exp(-0.5 * a * a) * (a < 7.07106781186547 ? hartRatio(a) : millsFraction(a))
  return z > 0 ? 1 - tail : tail
}

function hartRatio(a: number): number {
  const numerator =
    (((((3.52624965998911e-2 * a + 0.700383064443688) * a + 6.37396220353165) * a + 33.912866078383) * a + 112.079291497871) * a +
      221.213596169931) *
      a +
    220.206867912376
  const denominator =
    ((((((8.83883476483184e-2 * a + 1.75566716318264) * a + 16.064177579207) * a + 86.7807322029461) * a + 296.564248779674) * a +
      637.333633378831) *
      a +
      793.826512519948) *
      a +
    440.413735824752
  return numerator / denominator
}

function millsFraction(a: number): number {
  return 1 / (a + 1 / (a + 2 / (a + 3 / (a + 4 / (a + 0.65))))) / SQRT_TWO_PI
}
