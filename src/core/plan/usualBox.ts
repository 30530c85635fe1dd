import type { SinkerShape } from '../gear/sinkers.ts'
import { weightOf } from '../settling/settling.ts'
import type { Trace } from '../trace/schema.ts'
import { isCastMethod, type Method } from '../trace/waterConditions.ts'
import type { Owned } from './planDay.ts'

/** The shapes of sinker in a box. */
export const shapesOf = (sinkers: readonly Owned[]): SinkerShape[] => [...new Set(sinkers.map(({ shape }) => shape))]

/** The shapes that usually go along: dropped from a boat, all but wires; cast, that of the trace's own sinker, and wires. */
export function usualShapes(owned: readonly Owned[], trace: Trace, method: Method): SinkerShape[] {
  const own = weightOf(trace)?.shape
  return shapesOf(owned).filter((shape) => (isCastMethod(method) ? shape === own || shape === 'gripWire' : shape !== 'gripWire'))
}
