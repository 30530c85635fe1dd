import type { Catalogue } from '../../core/catalogue/catalogue.ts'
import type { FishingMode } from '../../core/catalogue/familyIds.ts'
import type { SkyEvent } from '../../core/physics/sky/sky.ts'
import type { DayEvent } from '../../core/plan/dayEvents.ts'
import type { Owned } from '../../core/setup/owned.ts'
import type { Show } from '../settings/show.ts'

const POINTS = ['N', 'NNE', 'NE', 'ENE', 'E', 'ESE', 'SE', 'SSE', 'S', 'SSW', 'SW', 'WSW', 'W', 'WNW', 'NW', 'NNW']

/** A direction as one of sixteen points. */
export const compassPoint = (deg: number) => POINTS[Math.round(deg / 22.5) % 16] ?? 'N'

/** A sinker of the box, with the crew’s number; its shape is named where several are in it. */
export const sinkerWords = ({ sinkers }: Catalogue, { massKg, shape, number }: Owned, show: Show, withShape = true) =>
  `${show.entered('mass', massKg)}${number ? ` (no. ${number})` : ''}${withShape ? ` ${sinkers[shape].name}` : ''}`

const SKY_WORDS: Record<SkyEvent, string> = {
  dawn: 'First light',
  sunrise: 'Sunrise',
  sunset: 'Sunset',
  dusk: 'Dark',
  moonrise: 'Moonrise',
  moonset: 'Moonset',
}

/** One event of a day, in a line. */
export function eventWords(catalogue: Catalogue, event: DayEvent, show: Show): string {
  switch (event.kind) {
    case 'high':
    case 'low':
      return `${event.kind === 'high' ? 'High' : 'Low'} water ${show.computed('length', event.heightM)}`
    case 'slack':
      return `Slack, ${show.computed('speed', event.rateMperS)}`
    case 'change':
      return event.to ? `To ${sinkerWords(catalogue, event.to, show)}` : 'No sinker in the box holds'
    default:
      return SKY_WORDS[event.kind]
  }
}

/** Days and hours between two instants, in words: `in 3 days`, `2 days ago`, `today`. */
export function daysFrom(fromMs: number, timeMs: number): string {
  const days = Math.round((timeMs - fromMs) / 86_400_000)
  if (days === 0) return 'today'
  const count = `${Math.abs(days)} day${Math.abs(days) === 1 ? '' : 's'}`
  return days > 0 ? `in ${count}` : `${count} ago`
}

/** How the end of a trace is meant to fish. */
export const FISHING_MODE_WORDS: Readonly<Record<FishingMode, string>> = {
  holds: 'hold the bottom',
  drags: 'drag near the bottom',
  hangs: 'hang in mid-water',
  swims: 'swim free',
  worked: 'be worked',
}
