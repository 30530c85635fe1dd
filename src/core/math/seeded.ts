/** An even source of numbers from nothing to under one, the same for the same seed. Source: Mulberry32, T. Ettinger (2017). */
export function seeded(seed: number): () => number {
  let state = seed
  return () => {
    state = (state + 0x6d2b79f5) | 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32
  }
}

/** A number from the standard normal distribution. Source: G. E. P. Box and M. E. Muller (1958). */
export const normalOf = (even: () => number): number => Math.sqrt(-2 * Math.log(1 - even())) * Math.cos(2 * Math.PI * even())
