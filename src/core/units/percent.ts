/** A share with its sign, which is never on a line of its own. */
export const percent = (share: number, decimals = 0) => `${(share * 100).toFixed(decimals)}\u00a0%`
