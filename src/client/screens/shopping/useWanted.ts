import { useQueries } from '@tanstack/react-query'
import { type Spares, tracesToTie } from '../../../core/batch/readiness.ts'
import type { WantedTraces } from '../../../core/batch/shopping.ts'
import { revisionQuery, type SavedDocument } from '../../api/documents.ts'
import type { SavedTied } from '../../api/tied.ts'

/** The traces that are still to be tied, with their designs; `isLoading` while some of those are on their way. */
export function useWanted(batches: readonly SavedDocument<'batches'>[], tied: readonly SavedTied[], spares: Spares) {
  const wanted = tracesToTie(batches, tied, spares)
  const designs = useQueries({ queries: wanted.map(({ traceId, revision }) => revisionQuery('traces', traceId, revision)) })
  return {
    isLoading: designs.some(({ isPending }) => isPending),
    /** Designs that cannot be read: what they need is not on the list. */
    missing: wanted.filter((_, i) => designs[i]?.isError).map(({ why }) => why),
    wanted: wanted.flatMap(({ why, traces, choices }, i): WantedTraces[] => {
      const trace = designs[i]?.data?.content.trace
      return trace ? [{ why, trace, traces, choices }] : []
    }),
  }
}
