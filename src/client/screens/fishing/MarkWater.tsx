import { type ReactNode, useMemo } from 'react'
import { tried } from '../../../core/analysis/judged.ts'
import type { Day } from '../../../core/plan/dayAtMark.ts'
import { type HoldNow, holdNow } from '../../../core/plan/holdNow.ts'
import type { Setup } from '../../../core/setup/setup.ts'
import { MINUTE_MS } from '../../../core/time/durations.ts'
import type { LocalDay } from '../../../core/time/localDay.ts'
import type { SavedMark } from '../../api/documents.ts'
import { useDay } from '../../plan/useDay.ts'
import { useHolds } from '../../plan/useHolds.ts'

type Now = { water: Day | undefined; holdNow: HoldNow | undefined }
type Props = {
  day: LocalDay
  setup: Setup | undefined
  sinkerKg: number | undefined
  nowMs: number
  children: (now: Now) => ReactNode
}

const UNKNOWN: Now = { water: undefined, holdNow: undefined }

/** The water at the mark that is fished, and whether the sinker on the rod holds in it; unknown without a mark. */
export const MarkWater = ({ mark, ...rest }: Props & { mark: SavedMark | undefined }) =>
  mark ? <KnownWater key={mark.id} mark={mark} {...rest} /> : rest.children(UNKNOWN)

function KnownWater({ mark: { id, content: mark }, day, setup, sinkerKg, nowMs, children }: Props & { mark: SavedMark }) {
  const { day: water } = useDay(mark, day)
  const holds = useHolds(id)
  // The water turns slowly: once a minute is soon enough.
  const minuteMs = Math.floor(nowMs / MINUTE_MS) * MINUTE_MS
  const hold = useMemo(() => {
    if (!setup || !water) return undefined
    const { tide, winds } = water
    const answer = tried(() => holdNow({ setup, mark, holds, tide, winds, sinkerKg }, minuteMs))
    return answer.ok ? answer.value : undefined
  }, [setup, water, mark, holds, sinkerKg, minuteMs])
  return children({ water, holdNow: hold })
}
