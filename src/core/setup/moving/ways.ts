import type { Conditions } from '../../documents/conditions.ts'
import type { MovingWay } from '../../documents/moving.ts'
import { isHardware } from '../../documents/pieces.ts'
import type { Trace } from '../../documents/trace.ts'
import { fishingModeOf } from '../fishingMode.ts'

/** Ways that a trace can move while it fishes, the likeliest first: by its clip ring, its lures, and how it is thrown. */
export function waysFor(trace: Trace, { castStyle }: Pick<Conditions, 'castStyle'>): MovingWay[] {
  if (trace.pieces.some((piece) => isHardware(piece, 'clipRing'))) return ['kite']
  const towed = fishingModeOf(trace) === 'worked' || trace.pieces.some(({ role }) => role === 'lure')
  if (!towed) return []
  return castStyle === 'none' ? ['trolled', 'retrieved'] : ['retrieved', 'trolled']
}
