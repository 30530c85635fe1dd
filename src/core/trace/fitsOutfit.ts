import { connectionOf } from '../gear/connections.ts'
import { freeLine, type Outfit } from './outfit.ts'
import type { Issue } from './parseTrace.ts'
import { jointOf, OUTFIT, type Trace } from './schema.ts'

/** What must hold between a trace and the outfit it is tied to: its first knots are ones that the outfit's line takes. */
export function fitIssues(trace: Trace, outfit: Outfit): Issue[] {
  const { material } = freeLine(outfit)
  return trace.pieces.flatMap((piece, i): Issue[] => {
    const joint = jointOf(piece)
    if (piece.attach.how !== 'joined' || piece.attach.to !== OUTFIT || !joint || joint.efficiency !== undefined) return []
    const connection = connectionOf(joint.connection)
    if (connection.joins === 'fixture' || connection.efficiency[material] !== undefined) return []
    return [
      {
        path: ['pieces', i, 'attach', 'joint', 'connection'],
        message: `${connection.name} is not tied in ${material}, the outfit’s line`,
      },
    ]
  })
}
