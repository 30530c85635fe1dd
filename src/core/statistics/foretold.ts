export type Foretold = {
  /** How many were expected to happen. */
  expected: number
  /** The chance of so many or more, and of so many or fewer. */
  atLeast: number
  atMost: number
  /** Two-sided: how surprising the number is, half of its own chance counted. */
  midP: number
}

/**
 * Whether as many of some independent events happened as predicted, by the exact distribution of their sum.
 * @param chances what was said of each before it.
 * @param happened of them.
 * Source: the Poisson binomial distribution, convolved one after another; mid-p by H. O. Lancaster (1961).
 */
export function learnForetold({ chances, happened }: { chances: readonly number[]; happened: number }): Foretold {
  const sum = new Float64Array(chances.length + 1)
  sum[0] = 1
  for (const [i, chance] of chances.entries())
    for (let k = i + 1; k >= 0; k -= 1) sum[k] = sum[k]! * (1 - chance) + (k > 0 ? sum[k - 1]! * chance : 0)
  const total = (from: number, to: number) => sum.slice(from, to).reduce((all, each) => all + each, 0)
  const atLeast = Math.min(1, total(happened, sum.length))
  const atMost = Math.min(1, total(0, happened + 1))
  const half = (sum[happened] ?? 0) / 2
  return {
    expected: chances.reduce((all, each) => all + each, 0),
    atLeast,
    atMost,
    midP: Math.min(1, 2 * Math.min(atLeast - half, atMost - half)),
  }
}
