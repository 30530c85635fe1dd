import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import type { Fished } from '../../../core/moments/levers.ts'
import type { Owned, PlanInput } from '../../../core/plan/planDay.ts'
import type { LocalDay } from '../../../core/time/localDay.ts'
import { runPlanDay } from '../../../workers/runPlanDay.ts'
import type { SavedMark } from '../../api/water.ts'
import type { Day } from './useDay.ts'

type Asked = { mark: SavedMark; localDay: LocalDay; day: Day | undefined; fished: Fished; fishedKey: string; owned: Owned[] }

/** So many steps of the way are shown: the page is drawn anew for each. */
const SHARES = 8

/** The day's sinkers, worked out in a worker, with how far it is and a way to stop it. */
export function usePlan({ mark, localDay, day, fished, fishedKey, owned }: Asked) {
  const client = useQueryClient()
  const [share, setShare] = useState(0)
  const [stopped, setStopped] = useState<string>()
  const box = owned.map(({ shape, massKg }) => `${shape} ${massKg}`).join()
  const windKey = day?.winds.map(({ speedMperS, fromDeg }) => `${speedMperS} ${fromDeg}`).join()
  const queryKey = ['plan', mark.id, mark.revision, localDay.startMs, localDay.endMs, fishedKey, box, windKey]
  const key = queryKey.join('|')
  const plan = useQuery({
    queryKey,
    enabled: day !== undefined && stopped !== key,
    queryFn: ({ signal }) => {
      const input: PlanInput = {
        fished,
        mark: mark.content,
        tide: day!.tide,
        winds: day!.winds,
        fromMs: localDay.startMs,
        toMs: localDay.endMs,
        owned,
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
      client.cancelQueries({ queryKey })
    },
    again: () => {
      setStopped(undefined)
      setShare(0)
      if (plan.error) plan.refetch()
    },
  }
}
