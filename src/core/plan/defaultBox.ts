import type { Method, SinkerShape } from '../catalogue/ids.ts'
import { isCastMethod } from '../catalogue/methods.ts'
import type { Owned } from '../setup/owned.ts'
import { weightOf } from '../setup/settling/settling.ts'
import type { Rig } from '../setup/setup.ts'

/** The shapes of sinker in a box. */
export const shapesOf = (sinkers: readonly Owned[]): SinkerShape[] => [...new Set(sinkers.map(({ shape }) => shape))]

/** The shapes that usually go along: dropped from a boat, all but wires; cast, that of the trace's own sinker, and wires. */
export function defaultShapes(owned: readonly Owned[], rig: Pick<Rig, 'trace' | 'catalogue'>, method: Method): SinkerShape[] {
  const own = weightOf(rig)?.shape
  return shapesOf(owned).filter((shape) => (isCastMethod(method) ? shape === own || shape === 'gripWire' : shape !== 'gripWire'))
}
