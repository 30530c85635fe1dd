import type { Dispatch } from 'react'
import type { Conditions } from '../../../core/documents/conditions.ts'
import type { Mark } from '../../../core/documents/mark.ts'
import { MIN_WATER_M } from '../../../core/documents/moving.ts'
import type { Trace } from '../../../core/documents/trace.ts'
import { conditionsForFish } from '../../../core/setup/conditionsForFish.ts'
import { springWater } from '../../../core/setup/springWater.ts'
import type { TraceContent } from '../../../shared/traceContent.ts'
import type { SavedFish, SavedMark } from '../../api/documents.ts'
import type { HistoryAction } from './history.ts'

/** What can be done to the open trace; each changes whatever is there when it is called. */
export type BenchEdits = {
  editTrace: (change: (trace: Trace) => Trace, tag?: string) => void
  editConditions: (change: Partial<Conditions>, tag?: string) => void
  /** The mark the trace is for; its water at springs comes with it, or, of what is towed or wound in, its depth. */
  chooseMark: (mark: SavedMark | undefined) => void
  /** The fish it is for: a usual one is landed, and its mouth asked about. */
  chooseFish: (fish: SavedFish | undefined) => void
  /** Puts what a remedy made in place, as one step. */
  apply: (made: { trace: Trace; conditions: Conditions }) => void
  chooseOutfit: (outfitId: string) => void
  /** Puts an earlier content in place of what is here; one undo goes back. */
  bringBack: (content: TraceContent) => void
  undo: () => void
  redo: () => void
  /** A field was left: the next keystroke in it is a step of its own. */
  settle: () => void
}

export function benchEdits(dispatch: Dispatch<HistoryAction<TraceContent>>): BenchEdits {
  const edit = (change: (content: TraceContent) => TraceContent, tag?: string) => dispatch({ type: 'edit', change, tag })
  return {
    editTrace: (change, tag) => edit((old) => ({ ...old, trace: change(old.trace) }), tag),
    editConditions: (change, tag) => edit((old) => ({ ...old, conditions: { ...old.conditions, ...change } }), tag),
    apply: (made) => edit((old) => ({ ...old, ...made })),
    chooseOutfit: (outfitId) => edit((old) => ({ ...old, outfitId })),
    chooseMark: (mark) =>
      edit((old) => ({
        ...old,
        markId: mark?.id,
        conditions: mark ? atMark(old.conditions, mark.content) : old.conditions,
      })),
    chooseFish: (fish) =>
      edit((old) => ({
        ...old,
        fishId: fish?.id,
        conditions: {
          ...old.conditions,
          ...(fish ? conditionsForFish(fish.content) : { mouthWidthM: undefined, target: undefined }),
        },
      })),
    bringBack: (earlier) => edit(() => earlier),
    undo: () => dispatch({ type: 'undo' }),
    redo: () => dispatch({ type: 'redo' }),
    settle: () => dispatch({ type: 'settle' }),
  }
}

/** The conditions at a mark: of what moves through the water its depth counts, of all else its water at springs. */
function atMark(conditions: Conditions, mark: Mark): Conditions {
  const { moving, water } = conditions
  const depth = moving && moving.way !== 'kite' ? { moving: { ...moving, waterM: Math.max(MIN_WATER_M, mark.depthM) } } : {}
  return { ...conditions, ...depth, ...(water || !moving ? { water: springWater(mark) } : {}) }
}
