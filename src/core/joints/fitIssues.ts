import { isTiedIn } from '../catalogue/catalogue.ts'
import type { Issue } from '../documents/issue.ts'
import { isTied, jointOf } from '../documents/pieces.ts'
import { OUTFIT } from '../documents/vocabulary.ts'
import { freeLine } from '../outfits/outfitLines.ts'
import type { Rig } from '../setup/setup.ts'

/** What must hold between a trace and the outfit it is tied to: its first knots are ones that the outfit's line takes. */
export function fitIssues({ trace, outfit, catalogue }: Rig): Issue[] {
  const { material } = freeLine(outfit)
  return trace.pieces.flatMap((piece, i): Issue[] => {
    const joint = jointOf(piece)
    if (piece.attach.how !== 'joined' || piece.attach.to !== OUTFIT || !isTied(joint)) return []
    if (isTiedIn(catalogue, joint, material)) return []
    const { name } = catalogue.connections[joint.connection]
    return [
      {
        path: ['pieces', i, 'attach', 'joint', 'connection'],
        message: `${name} cannot be tied in ${material}, your main line`,
      },
    ]
  })
}
