import { z } from 'zod'
import { type Observation, observationSchema } from '../core/documents/observation.ts'

/** Which observations are asked for: those at one mark, on one trip, of one kind, or all. */
export const observationsQuery = z.object({
  mark: z.uuid().optional(),
  trip: z.uuid().optional(),
  kind: z.enum(['hold', 'pull', 'straight', 'retraction', 'event']).optional(),
})

/** The most that one request may send. */
export const MAX_AT_ONCE = 500
export const manyObservations = z.strictObject({
  observations: z.array(observationSchema).min(1).max(MAX_AT_ONCE, { abort: true }),
})

/** Rows as they are returned, without the observer. One that cannot be read is left out. */
export const parseObservations = (rows: readonly unknown[]): Observation[] =>
  rows.flatMap((row): Observation[] => {
    const { observer: _by, ...fields } = row as Record<string, unknown>
    const read = observationSchema.safeParse(fields)
    return read.success ? [read.data] : []
  })
