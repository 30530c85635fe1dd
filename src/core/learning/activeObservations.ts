import type { Observation } from '../documents/observation.ts'

/** The observations that count. A retraction is added after what it retracts, and may be retracted itself: what it retracted then counts again. */
export function activeObservations(observations: readonly Observation[]): Observation[] {
  const retracted = new Set<string>()
  for (const each of observations.toReversed()) if (each.kind === 'retraction' && !retracted.has(each.id)) retracted.add(each.of)
  return observations.filter(({ id }) => !retracted.has(id))
}
