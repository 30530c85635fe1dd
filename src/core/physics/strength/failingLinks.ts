/** A link whose strength is Normal(meanN, variation·meanN). */
export type UncertainLink = { id: string; meanN: number; variation: number }
/** A joint whose strength is a share of its own line's: the share is Normal(efficiency, variation·efficiency), `line` a plain link. */
export type ShareOfLine = { id: string; line: string; efficiency: number; variation: number }
export type FailingLink = UncertainLink | ShareOfLine

/** A line with the joints that are shares of it, each with its place among the links; any other link is a group of its own. */
export type Group = { line: UncertainLink; at: number; joints: ShareOfLine[]; jointsAt: number[] }

/** Links as groups that are independent of each other, in the order of their lines. */
export function groupsOf(links: readonly FailingLink[]): Group[] {
  const groups: Group[] = []
  for (const [at, line] of links.entries()) if ('meanN' in line) groups.push({ line, at, joints: [], jointsAt: [] })
  const byLine = new Map(groups.map((group) => [group.line.id, group]))
  for (const [at, joint] of links.entries()) {
    const group = 'line' in joint ? byLine.get(joint.line) : undefined
    if (!group || !('line' in joint)) continue
    group.joints.push(joint)
    group.jointsAt.push(at)
  }
  return groups
}
