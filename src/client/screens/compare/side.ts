import type { Setup } from '../../../core/setup/setup.ts'
import type { TraceContent } from '../../../shared/traceContent.ts'

/** One of those compared: as it is now, or, with a revision, as it was. */
export type Side = { key: string; title: string; setup: Setup; content: TraceContent }
