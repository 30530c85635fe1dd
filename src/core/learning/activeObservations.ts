import type { Observation } from '../documents/observation.ts'

/** What was told and never taken back. */
export function activeObservations(told: readonly Observation[]): Observation[] {
  const takenBack = new Set(told.flatMap((each) => (each.kind === 'retraction' ? [each.of] : [])))
  return told.filter(({ id }) => !takenBack.has(id))
}
