/** Room between a branch and the next in its lane. */
export const BRANCH_GAP = 14

/** Room that is taken below a run's own row: from one x to another, in lanes from one to before another. */
export type Block = { x0: number; x1: number; from: number; to: number }

export const lowered = (block: Block, lanes: number): Block => ({ ...block, from: block.from + lanes, to: block.to + lanes })

/** Whether two blocks, or the drop that leads down to the left edge of one and the other, would lie on each other. */
export const inTheWay = (a: Block, b: Block): boolean =>
  (a.x0 < b.x1 + BRANCH_GAP && b.x0 < a.x1 && a.from < b.to && b.from < a.to) || crosses(b, a) || crosses(a, b)

const crosses = (drop: Block, block: Block): boolean => block.x0 < drop.x0 && drop.x0 < block.x1 && block.from < drop.from
