/** How a sinker is fished in the water: below a boat at anchor, cast up-current of it, below one adrift, or out from the shore. */
export const METHODS = {
  anchor: { name: 'at anchor, down-tide', scope: 1.2, reserve: 1.2 },
  uptide: { name: 'at anchor, cast up-tide', scope: 1.15, reserve: 2.5 },
  drift: { name: 'adrift', scope: 1.2, reserve: 1.2 },
  shore: { name: 'out from the shore', scope: 1.15, reserve: 1.5 },
} as const
