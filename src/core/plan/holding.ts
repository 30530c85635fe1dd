import type { SinkerShape } from '../gear/sinkers.ts'
import { heldBy, type Mark } from '../mark/mark.ts'
import { leastToHold } from '../settling/least.ts'
import type { Settling } from '../settling/settling.ts'

/** What a sinker must weigh, in still water and with the mark's reserve; or why none holds. */
export type Wanted = { neededKg: number; wantedKg: number } | { trouble: string }

/** What must be on at a mark in some water, by the shape that is on: with what the mark has taught of grip and reserve. */
export function wantedAt(mark: Mark): (settling: Settling) => (shape: SinkerShape) => Wanted {
  const { gripOf, reserve } = heldBy(mark)
  return (settling) => {
    const least = leastToHold(settling)
    if ('trouble' in least) return () => ({ trouble: least.trouble })
    return (shape) => {
      const neededKg = least.kgFor(gripOf(shape))
      return { neededKg, wantedKg: neededKg * reserve }
    }
  }
}

/** Whether a weight holds with the reserve, only without it, or not at all. */
export function holdingOf(massKg: number, wanted: Wanted): 'holds' | 'stillWaterOnly' | 'no' {
  if ('trouble' in wanted || massKg < wanted.neededKg) return 'no'
  return massKg >= wanted.wantedKg ? 'holds' : 'stillWaterOnly'
}
