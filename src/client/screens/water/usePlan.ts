import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import type { Hold } from '../../../core/documents/observation.ts'
import type { Owned } from '../../../core/plan/owned.ts'
import type { PlanInput, Way } from '../../../core/plan/planDay.ts'
import type { Setup } from '../../../core/setup/setup.ts'
import { runPlanDay } from '../../../workers/runPlanDay.ts'
import type { SavedMark } from '../../api/documents.ts'
import type { Day } from './useDay.ts'

type Asked = {
  mark: SavedMark
  holds: readonly Hold[]
  day: Day
  setup: Setup
  setupKey: string
  owned: Owned[]
  way: Way
  /** The hours fished. */
  fromMs: number
  toMs: number
}

/** So many steps of the way are shown: the page is drawn anew for each. */
const SHARES = 8

/** The day's sinkers, worked out in a worker, with how far it is and a way to stop it. */
export function usePlan({ mark, holds, day, setup, setupKey, owned, way, fromMs, toMs }: Asked) {
  const client = useQueryClient()
  const [share, setShare] = useState(0)
  const [stopped, setStopped] = useState<string>()
  const box = owned.map(({ shape, massKg }) => `${shape} ${massKg}`).join()
  const windKey = day.winds.map(({ speedMperS, fromDeg }) => `${speedMperS} ${fromDeg}`).join()
  const queryKey = ['plan', mark.id, mark.revision, holds.length, fromMs, toMs, way, setupKey, box, windKey]
  const key = queryKey.join('|')
  const plan = useQuery({
    queryKey,
    enabled: stopped !== key,
    queryFn: ({ signal }) => {
      const input: PlanInput = {
        setup,
        mark: mark.content,
        holds,
        tide: day.tide,
        winds: day.winds,
        fromMs,
        toMs,
        owned,
        way,
      }
      return runPlanDay(input, signal, (done) => setShare(Math.floor(done * SHARES) / SHARES))
    },
    retry: false,
    staleTime: Number.POSITIVE_INFINITY,
  })
  return {
    plan: plan.data,
    error: plan.error,
    share,
    stopped: stopped === key,
    stop: () => {
      setStopped(key)
      void client.cancelQueries({ queryKey })
    },
    again: () => {
      setStopped(undefined)
      setShare(0)
      if (plan.error) plan.refetch()
    },
  }
}
