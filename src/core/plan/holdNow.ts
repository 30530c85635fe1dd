import { holdKindOf } from '../catalogue/grip.ts'
import type { SinkerShape } from '../catalogue/ids.ts'
import { isCastMethod } from '../catalogue/methods.ts'
import type { Mark } from '../documents/mark.ts'
import type { Hold } from '../documents/observation.ts'
import { gripLesson, reserveLesson } from '../learning/markLessons.ts'
import { heldChance } from '../learning/ratioBelief.ts'
import type { TideSpan } from '../physics/tide/tideSpan.ts'
import { demandOn } from '../setup/settling/demand.ts'
import { minimumSinker } from '../setup/settling/minimumSinker.ts'
import type { Setup } from '../setup/setup.ts'
import { atMark, type Wind } from './atMark.ts'
import { settledOn } from './preparedWithSinker.ts'

/** What is asked of the sinker that is on, and the chance that it holds. */
export type HoldNow = { method: Mark['method']; shape: SinkerShape; massKg: number; demand: number; chance: number }

type At = {
  setup: Setup
  mark: Mark
  holds: readonly Hold[]
  tide: TideSpan | undefined
  winds: readonly Wind[]
  /** The mass that is on instead of the trace's own, kg. */
  sinkerKg: number | undefined
}

/**
 * Whether the sinker on a rod holds at a mark at an instant, by what the mark has taught. Undefined where nothing takes the trace down,
 * or next to nothing is asked of it.
 * @throws CoreError 'out-of-range' outside what is known of the tide.
 */
export function holdNow({ setup, mark, holds, tide, winds, sinkerKg }: At, timeMs: number): HoldNow | undefined {
  const { water } = atMark(mark, tide, winds, timeMs)
  const own = settledOn(setup, water, undefined)
  if (!own) return undefined
  const { shape } = own.weight
  const settling = sinkerKg === undefined ? own : (settledOn(setup, water, { shape, massKg: sinkerKg }) ?? own)
  const demand = demandOn(settling, minimumSinker(settling))
  if (demand === undefined) return undefined
  const { posterior } = isCastMethod(mark.method)
    ? gripLesson(setup.catalogue, mark, holds, holdKindOf(shape))
    : reserveLesson(setup.catalogue, holds, mark.method)
  return { method: mark.method, shape, massKg: settling.weight.massKg, demand, chance: heldChance(posterior, demand) }
}
