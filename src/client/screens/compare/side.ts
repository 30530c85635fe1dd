import type { Fished } from '../../../core/moments/levers.ts'
import type { TraceContent } from '../../../shared/traces.ts'

/** One of those compared: as it is now, or, with a revision, as it was. */
export type Side = { key: string; title: string; fished: Fished; content: TraceContent }
