import type { TripStage } from '../../core/documents/trip.ts'
import type { Happening } from '../../core/documents/tripEvent.ts'
import type { AlarmKind } from '../../core/plan/alarms.ts'
import type { TripCaution } from '../../core/plan/trip.ts'
import { capital } from '../../core/units/capital.ts'

export const STAGE_WORDS: Record<TripStage, string> = { planned: 'planned', underWay: 'under way', ended: 'ended' }

export const CAUTION_WORDS: Record<TripCaution, string> = {
  wayBack: 'The tide can close the way back. Know the hour, and leave before it.',
  lifeJacket: 'Wear a life jacket.',
  alone: 'Alone? Tell someone where you are and when you will be back.',
  localRules: 'Local rules and the licensed skipper come first.',
}

export const ALARM_WORDS: Record<AlarmKind, string> = {
  wayBack: 'Start back',
  sinker: 'Change the sinker',
  rebait: 'Re-bait',
  slack: 'Slack',
  end: 'End of the hours',
}

export const EVENT_NAMES: Record<Happening['type'], string> = {
  cast: 'Cast',
  bite: 'Bite',
  missed: 'Missed',
  held: 'Held',
  dragged: 'Dragged',
  biteOff: 'Bite-off',
  tangle: 'Tangle',
  fish: 'Fish',
  snag: 'Snag',
  break: 'Break',
  retied: 'Re-tied',
  changed: 'Change',
  lost: 'Lost',
  seen: 'Seen',
}

export const SIGN_WORDS: Record<Extract<Happening, { type: 'seen' }>['sign'], string> = {
  othersCatch: 'Others catch',
  baitStripped: 'Bait stripped',
  baitSpins: 'Bait spins',
  lineChafed: 'Line chafed',
  sinkerBuried: 'Sinker buried',
  fishFollow: 'Fish follow',
  smallFish: 'Small fish about',
}

/** What happened, in a few words; a link is named by `nameOf`. */
export function happeningWords(what: Happening, nameOf: (link: string) => string): string {
  switch (what.type) {
    case 'fish':
      return `${what.name || 'Fish'}, ${what.size}, ${what.isKept ? 'kept' : 'returned'}, hooked ${what.hooked === 'lip' ? 'in the lip' : what.hooked === 'deep' ? 'deep' : 'foul'}`
    case 'snag':
      return what.lost === 'nothing' ? 'Snag, all saved' : `Snag, ${what.lost} lost`
    case 'break':
      return `Break: ${what.link === undefined ? 'not seen' : nameOf(what.link)}`
    case 'retied':
      return what.cutM === undefined ? 'Re-tied' : `Re-tied, ${what.cutM} m cut away`
    case 'lost':
      return what.where === 'side' ? 'Fish lost at the side' : 'Fish lost in the run'
    case 'seen':
      return SIGN_WORDS[what.sign]
    case 'changed':
      return `${capital(what.part)}: ${what.to}`
    default:
      return EVENT_NAMES[what.type]
  }
}
