import { useMemo } from 'react'
import type { Hold } from '../../core/documents/observation.ts'
import type { Day } from '../../core/plan/dayAtMark.ts'
import type { Way } from '../../core/plan/planDay.ts'
import type { Owned } from '../../core/setup/owned.ts'
import type { Setup } from '../../core/setup/setup.ts'
import { runPlanDay } from '../../workers/runPlanDay.ts'
import type { SavedMark } from '../api/documents.ts'
import { useJob } from '../jobs/useJob.ts'

type PlanQuery = {
  mark: SavedMark
  holds: readonly Hold[]
  day: Day
  setup: Setup
  owned: Owned[]
  way: Way
  /** The hours fished. */
  fromMs: number
  toMs: number
}

/** The sinkers of a day, calculated in a worker for this trace, gear, mark, water and log. */
export function usePlan({ mark: { content: mark }, holds, day: { tide, winds }, setup, owned, way, fromMs, toMs }: PlanQuery) {
  const input = useMemo(
    () => ({ setup, mark, holds, tide, winds, fromMs, toMs, owned, way }),
    [setup, mark, holds, tide, winds, fromMs, toMs, owned, way],
  )
  return useJob({ name: 'plan', input, run: runPlanDay })
}
