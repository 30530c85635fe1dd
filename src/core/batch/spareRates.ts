import { stockSpares } from '../stock/spares.ts'

/**
 * How often traces are lost, in events over hours fished, until a log says how it is here: a trace in ten hours, with the weight of ten
 * hours. Nominal, a working value of the craft.
 */
const NOMINAL_TRACE_LOSSES = { priorEvents: 1, priorExposure: 10 } as const

/** How surely spares are to be enough, where the crew says nothing. */
export const DEFAULT_ASSURANCE = 0.9

/** Traces that were lost, in so many hours of one rod. */
export type SeenLosses = { events: number; exposure: number }

/** Spare traces of a design that cover the losses of so many hours, in the share of trips that `assurance` gives. */
export const sparesFor = (hours: number, assurance: number, seen: SeenLosses): number =>
  stockSpares({ ...NOMINAL_TRACE_LOSSES, ...seen, planned: hours, assurance }).spares
