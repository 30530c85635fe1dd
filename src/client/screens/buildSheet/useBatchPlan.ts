import { useMemo } from 'react'
import { planBatch } from '../../../core/batch/batchPlan.ts'
import type { BoxItem } from '../../../core/batch/candidates.ts'
import type { Batch } from '../../../core/documents/batch.ts'
import type { Outfit } from '../../../core/documents/outfit.ts'
import type { Setup } from '../../../core/setup/setup.ts'
import type { TraceContent } from '../../../shared/traceContent.ts'
import { useBox } from '../../api/stock.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'

const NO_BOX: BoxItem[] = []

/** What so many traces take from the box. While the box loads, or cannot be loaded, the plan takes nothing from it. */
export function useBatchPlan(content: TraceContent, outfit: Outfit, choices: Batch['choices'], count: number) {
  const { trace, conditions } = content
  const catalogue = useCatalogue()
  const { box = NO_BOX, error, retry } = useBox()
  const setup = useMemo((): Setup => ({ trace, outfit, conditions, catalogue }), [trace, outfit, conditions, catalogue])
  const plan = useMemo(() => planBatch({ trace, catalogue, box, choices }, count), [trace, catalogue, box, choices, count])
  return { setup, plan, boxError: error, retryBox: retry }
}
