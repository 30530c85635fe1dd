/** Room between a branch and the next in its lane. */
export const BRANCH_GAP = 14

/** The room of a branch: an x range in its lane, and the drop at its left edge from the lane it hangs from. */
export type Block = { x0: number; x1: number; lane: number; hangsFromLane: number }

export const translated = (block: Block, lanes: number): Block => ({
  ...block,
  lane: block.lane + lanes,
  hangsFromLane: block.hangsFromLane + lanes,
})

/** Whether two blocks overlap, or the drop to one crosses the other. */
export const overlaps = (a: Block, b: Block): boolean =>
  (a.lane === b.lane && a.x0 < b.x1 + BRANCH_GAP && b.x0 < a.x1) || crosses(a, b) || crosses(b, a)

const crosses = (drop: Block, { x0, x1, lane }: Block): boolean =>
  x0 < drop.x0 && drop.x0 < x1 && drop.hangsFromLane < lane && lane < drop.lane
