import { holdKindOf } from '../catalogue/grip.ts'
import type { SinkerShape } from '../catalogue/ids.ts'
import type { LearnedHolding } from '../learning/markLessons.ts'
import { minimumSinker } from '../setup/settling/minimumSinker.ts'
import type { Settling } from '../setup/settling/settling.ts'

/** What a sinker must weigh, in still water and with the mark's reserve; or why none holds. */
export type RequiredSinker = { neededKg: number; wantedKg: number } | { trouble: string }

/** What must be on at a mark in some water, by the shape that is on: with what the mark has taught of grip and reserve. */
export function requiredSinkerAt({
  gripOf,
  reserve,
}: LearnedHolding): (settling: Settling) => (shape: SinkerShape) => RequiredSinker {
  return (settling) => {
    const minimum = minimumSinker(settling)
    if ('trouble' in minimum) return () => ({ trouble: minimum.trouble })
    return (shape) => {
      const neededKg = minimum.kgFor(gripOf(shape), holdKindOf(shape))
      return { neededKg, wantedKg: neededKg * reserve }
    }
  }
}

/** Whether a weight holds with the reserve, only without it, or not at all. */
export function holdingOf(massKg: number, wanted: RequiredSinker): 'holds' | 'stillWaterOnly' | 'no' {
  if ('trouble' in wanted || massKg < wanted.neededKg) return 'no'
  return massKg >= wanted.wantedKg ? 'holds' : 'stillWaterOnly'
}
