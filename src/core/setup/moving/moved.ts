import type { Moving } from '../../documents/moving.ts'
import type { Towed } from '../../physics/flown/towed.ts'
import type { Setup } from '../setup.ts'
import { type FlownBait, flownBait } from './kite.ts'
import { type RetrievePoint, retrieve } from './retrieved.ts'
import { towOf } from './tow.ts'
import { trolledAt } from './trolled.ts'

/** What comes of the way a line moves: where all that is towed swims, a lure’s way in, or the lead of each bait under a kite. */
export type Moved =
  | { way: 'trolled'; towed: Towed }
  | { way: 'retrieved'; points: RetrievePoint[] }
  | { way: 'kite'; baits: FlownBait[] }

/** @throws CoreError where no lip takes a lure to its rating, or the line in the water has no answer; a bait that has none says so. */
export function movedOf(setup: Setup, moving: Moving): Moved {
  switch (moving.way) {
    case 'trolled':
      return { way: 'trolled', towed: trolledAt(towOf(setup), moving) }
    case 'retrieved':
      return { way: 'retrieved', points: retrieve(setup, towOf(setup), moving) }
    case 'kite':
      return { way: 'kite', baits: moving.baits.map((bait) => flownBait(setup, moving, bait)) }
  }
}
