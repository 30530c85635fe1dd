import { useEffect, useMemo, useState } from 'react'
import type { Verdict } from '../../../core/moments/moment.ts'
import { openVerdicts } from '../../../workers/openVerdicts.ts'
import { fetchTraceRows, type SavedOutfit, type SavedTraceHead } from '../../api/documents.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'

/** So many are fetched and judged at a time: what is found shows between. */
const AT_ONCE = 50

const keyOf = ({ id, revision }: SavedTraceHead) => `${id}@${revision}`

export type Verdicts = {
  /** Undefined until it has been judged. */
  of: (head: SavedTraceHead) => Verdict | undefined
  /** How many of those asked about are still to be judged. */
  waiting: number
  error: Error | undefined
  retry: () => void
}

/** The worst verdict of each trace, judged by a worker while `wanted`; what was judged stays known as long as the gear stays as it is. */
export function useVerdicts(heads: readonly SavedTraceHead[], outfits: readonly SavedOutfit[], wanted: boolean): Verdicts {
  const catalogue = useCatalogue()
  // biome-ignore lint/correctness/useExhaustiveDependencies: other gear, other verdicts
  const known = useMemo(() => new Map<string, Verdict>(), [outfits, catalogue])
  const [, setJudged] = useState(0)
  const [error, setError] = useState<Error>()
  const [attempt, setAttempt] = useState(0)
  // biome-ignore lint/correctness/useExhaustiveDependencies: another attempt starts it anew
  useEffect(() => {
    if (!wanted) return
    const controller = new AbortController()
    const worker = openVerdicts()
    const byId = new Map(outfits.map(({ id, content }) => [id, content]))
    const judgeSome = async (some: readonly SavedTraceHead[]) => {
      const rows = await fetchTraceRows(
        some.map(({ id }) => id),
        controller.signal,
      )
      const verdicts = await worker.of({ rows, outfits: byId, catalogue }, controller.signal)
      const found = new Map(verdicts.map(({ id, worst }) => [id, worst]))
      // One that cannot be read, or whose outfit is in the bin, cannot be fished as it is.
      for (const head of some) known.set(keyOf(head), found.get(head.id) ?? 'fails')
      setJudged(known.size)
    }
    const judgeAll = async () => {
      setError(undefined)
      const unknown = heads.filter((head) => !known.has(keyOf(head)))
      for (let at = 0; at < unknown.length; at += AT_ONCE) await judgeSome(unknown.slice(at, at + AT_ONCE))
    }
    judgeAll().catch((reason: unknown) => {
      if (!controller.signal.aborted) setError(reason instanceof Error ? reason : new Error(String(reason)))
    })
    return () => {
      controller.abort()
      worker.close()
    }
  }, [heads, outfits, catalogue, known, wanted, attempt])
  return {
    of: (head) => known.get(keyOf(head)),
    waiting: wanted ? heads.filter((head) => !known.has(keyOf(head))).length : 0,
    error,
    retry: () => setAttempt(attempt + 1),
  }
}
