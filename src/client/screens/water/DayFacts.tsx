import { memo } from 'react'
import { phaseName, type Sky, type Span } from '../../../core/physics/sky/sky.ts'
import { springsAndNeaps, type TideSpan, tideHourAt } from '../../../core/physics/tide/tideSpan.ts'
import type { Day } from '../../../core/plan/dayAtMark.ts'
import type { LocalDay } from '../../../core/time/localDay.ts'
import { percent } from '../../../core/units/percent.ts'
import { Glossed } from '../../fishing/Glossed.tsx'
import { useShow } from '../../settings/preferences.tsx'
import type { Show } from '../../settings/show.ts'
import { daysFrom } from '../../words/waterWords.ts'

type Props = { day: Day; localDay: LocalDay; clock: (timeMs: number) => string }

/** Range, springs and neaps, sun and moon of a day, and its dark hours, in a few short lines. */
export const DayFacts = memo(function DayFacts({ day, localDay, clock }: Props) {
  const show = useShow()
  const { tide, sky, slacks } = day
  const noonMs = (localDay.startMs + localDay.endMs) / 2
  const facts: [string, string][] = [
    ...(tide ? [rangeFact(tide, noonMs, show)] : []),
    ['slack', slacks.length > 0 ? slacks.map(({ timeMs }) => clock(timeMs)).join(', ') : tide ? 'none' : 'unknown'],
    ...(sky ? skyFacts(sky, localDay, clock, show) : []),
  ]
  return (
    <dl className="flex flex-wrap gap-x-5 gap-y-0.5 text-sm">
      {facts.map(([name, value]) => (
        <div key={name} className="flex gap-1.5">
          <dt className="text-quiet">
            <Glossed>{name}</Glossed>
          </dt>
          <dd>
            <Glossed>{value}</Glossed>
          </dd>
        </div>
      ))}
    </dl>
  )
})

function rangeFact(tide: TideSpan, noonMs: number, show: Show): [string, string] {
  const next = springsAndNeaps(tide.turns).find(({ timeMs }) => timeMs > noonMs - 43_200_000)
  const { rangeM } = tideHourAt(tide, noonMs)
  return ['range', `${show.computed('length', rangeM)}${next ? `; ${next.kind} ${daysFrom(noonMs, next.timeMs)}` : ''}`]
}

function skyFacts(sky: Sky, localDay: LocalDay, clock: (timeMs: number) => string, show: Show): [string, string][] {
  const at = (kind: string) => sky.events.filter((event) => event.kind === kind).map(({ timeMs }) => clock(timeMs))
  const spans = (all: readonly Span[]) =>
    all.length === 0
      ? 'none'
      : all.map(({ fromMs, toMs }) => `${clock(fromMs)}–${toMs === localDay.endMs ? show.hour(24) : clock(toMs)}`).join(', ')
  return [
    [
      'sun',
      sky.events.some(({ kind }) => kind === 'sunrise' || kind === 'sunset')
        ? `${at('sunrise').join(', ')}–${at('sunset').join(', ')}`
        : sky.night.length > 0
          ? 'does not rise'
          : 'does not set',
    ],
    [
      'moon',
      `${phaseName(sky.moon.phase)}, ${percent(sky.moon.litShare)} lit${['moonrise', 'moonset'].flatMap((kind) => at(kind).map((time) => `; ${kind === 'moonrise' ? 'up' : 'down'} ${time}`)).join('')}`,
    ],
    ['dark, no moon', spans(sky.dark)],
  ]
}
