import type { Baited } from '../setup/baiting.ts'
import type { Rig } from '../setup/setup.ts'
import { withFields } from './changes.ts'
import { checked, type EditResult } from './editResult.ts'
import { slidePart, slideRange } from './slidePart.ts'

/** From the last hook’s bend to the bait’s tail, and how much there may be with all hooks in the bait, m. */
export type TailRoom = { tailM: number; roomM: number }

/**
 * The trace with a hook moved along its bait, m towards the tail: the last one takes all with it, one that slides above it comes nearer
 * or goes farther. Hooks stay in the bait, and none comes nearer to the next than eye to bend.
 */
export function moveHook(
  rig: Rig,
  { bait, hooks, gang }: Baited,
  { tailM, roomM }: TailRoom,
  id: string,
  byM: number,
): EditResult {
  const range = id === hooks.at(-1)?.id ? undefined : slideRange(rig.trace, id)
  if (!range || !gang) {
    const moved = { tailM: Math.min(roomM, Math.max(0, tailM - byM)) }
    return checked(rig, withFields(rig.trace, bait.id, moved), bait.id)
  }
  const leastM = (hooks.length - 1) * gang.pitchM
  const drawnM = leastM + (hooks.length - 1) * gang.linkM
  const slid = slidePart(rig, id, range.downM + gang.betweenM - Math.max(leastM, drawnM - byM))
  return slid.ok ? { ...slid, chosen: bait.id } : slid
}
