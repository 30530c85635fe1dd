import type { TripEvent } from '../documents/observation.ts'
import { isEnd, type Tied, type TiedState } from '../documents/tied.ts'
import type { Trip } from '../documents/trip.ts'

/** What a trip did to the gear: to be confirmed, one by one. */
export type AfterTrip = {
  /** The event that lost a sinker, and what it weighed. */
  lostSinkers: { eventId: string; massKg: number }[]
  tied: { id: string; state: Extract<TiedState, 'ready' | 'lost' | 'cutOff'>; usedHard: boolean }[]
}

/** Whether a tied trace is to be changed after a trip. One that came to its end since is not brought back. */
export const isChangedBy = ({ state, usedHard = false }: Tied, after: AfterTrip['tied'][number]): boolean =>
  !isEnd(state) && (state !== after.state || (after.usedHard && !usedHard))

/** What was lost, and where each tied trace is now, by the events of a trip in their order. */
export function afterTrip({ rods }: Pick<Trip, 'rods'>, events: readonly TripEvent[]): AfterTrip {
  const tied = new Map<string, AfterTrip['tied'][number]>()
  const lostSinkers: AfterTrip['lostSinkers'] = []
  for (const rod of rods) {
    let on = rod.tiedId
    const mark = (change: Partial<AfterTrip['tied'][number]>) => {
      if (on !== undefined) tied.set(on, { ...(tied.get(on) ?? { id: on, state: 'ready', usedHard: false }), ...change })
    }
    mark({})
    for (const { id, rod: of, what, sinkerKg } of events) {
      if (of !== rod.id) continue
      const isTraceLost = what.type === 'snag' && what.lost === 'trace'
      if (what.type === 'snag' && what.lost !== 'nothing' && sinkerKg !== undefined)
        lostSinkers.push({ eventId: id, massKg: sinkerKg })
      if (what.type === 'fish' || (what.type === 'snag' && !isTraceLost)) mark({ usedHard: true })
      if (isTraceLost || what.type === 'break' || what.type === 'biteOff') {
        mark({ state: isTraceLost ? 'lost' : 'cutOff' })
        if (isTraceLost) on = undefined
      }
      if (what.type === 'changed' && what.part === 'trace') {
        on = what.tiedId
        mark({})
      }
    }
  }
  return { lostSinkers, tied: [...tied.values()] }
}
