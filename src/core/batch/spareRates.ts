import { type SparesInput, stockSpares } from '../stock/spares.ts'

/** The share of trips that spares are enough for, unless the crew chose another. */
export const DEFAULT_ASSURANCE = 0.9

/** Traces lost in so many hours of one rod, and the losses assumed before the first trip. */
export type TraceLosses = Omit<SparesInput, 'planned' | 'assurance'>

/** Spare traces of a design that cover the losses of so many hours in the share of trips that `assurance` gives. */
export const sparesFor = (hours: number, assurance: number, losses: TraceLosses): number =>
  stockSpares({ ...losses, planned: hours, assurance }).spares
