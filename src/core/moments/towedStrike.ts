import type { MovingBy } from '../documents/moving.ts'
import { CoreError } from '../errors.ts'
import type { Setup } from '../setup/setup.ts'
import { judge } from './judge.ts'
import type { Run } from './run.ts'

/** The fastest fish that is thought of, m/s. */
const MAX_MPERS = 25

/**
 * A run as it begins while a trace is towed: with the line out that it is towed on, the fish away from a boat that goes on. The water’s
 * drag on the line counts by both speeds.
 * @returns undefined where so much line is not wound, or the trace has neither hook nor lure.
 */
export function strikeWhileTowed(
  setup: Setup,
  { speedMperS, lineOutM }: Pick<MovingBy<'trolled'>, 'speedMperS' | 'lineOutM'>,
): Run | undefined {
  const { water: _still, ...conditions } = setup.conditions
  const fishSpeedMperS = Math.min(MAX_MPERS, conditions.fishSpeedMperS + speedMperS)
  try {
    return judge({ ...setup, conditions: { ...conditions, lineOutM, fishSpeedMperS } }, ['run']).moments.run
  } catch (error) {
    if (error instanceof CoreError) return undefined
    throw error
  }
}
