/** Halvings that narrow a range to a sixty-thousandth of itself. */
const HALVINGS = 16

/**
 * The range around the place where a condition begins to be met, narrowed by halving.
 * @param range where it is not met, and where it is.
 * @returns the last value that does not meet it and the first that does, as near as the halvings bring them.
 */
export function halved([low, high]: readonly [number, number], isMet: (value: number) => boolean): [number, number] {
  let [below, above] = [low, high]
  for (let i = 0; i < HALVINGS; i += 1) {
    const middle = (below + above) / 2
    if (isMet(middle)) above = middle
    else below = middle
  }
  return [below, above]
}
