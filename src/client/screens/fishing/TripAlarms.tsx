import { useMemo } from 'react'
import { alarmsOf } from '../../../core/plan/alarms.ts'
import type { Day } from '../../../core/plan/dayAtMark.ts'
import { wayBackClosesMs } from '../../../core/plan/wayBack.ts'
import type { LocalDay } from '../../../core/time/localDay.ts'
import type { SavedMark } from '../../api/documents.ts'
import { Alarms } from './Alarms.tsx'

type Props = {
  mark: SavedMark | undefined
  water: Day | undefined
  day: LocalDay
  nowMs: number
  span: { fromMs: number; toMs: number }
  sinkerMs: number | undefined
  castMs: number | undefined
  baitMinutes: number
}

/** What comes next on a trip: on its rods, and with the water of its mark. */
export function TripAlarms({ mark, water: day, day: localDay, nowMs, span, sinkerMs, castMs, baitMinutes }: Props) {
  const alarms = useMemo(
    () =>
      alarmsOf({
        wayBackMs: mark && wayBackClosesMs(mark.content, day?.tide, span.fromMs, span.toMs),
        sinkerMs,
        castMs,
        baitMinutes,
        slackMs: day?.slacks.find(({ timeMs }) => timeMs > Math.max(nowMs, span.fromMs) && timeMs < span.toMs)?.timeMs,
        endMs: span.toMs,
      }),
    [mark, day, sinkerMs, castMs, baitMinutes, nowMs, span],
  )
  return <Alarms alarms={alarms} nowMs={nowMs} timeZone={localDay.timeZone} />
}
