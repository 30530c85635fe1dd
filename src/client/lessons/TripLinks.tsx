import { Link } from 'react-router'
import type { TripEvent } from '../../core/documents/observation.ts'
import type { Catch, Loss } from '../../core/lessons/lessons.ts'
import type { Sums } from '../../core/lessons/sums.ts'
import { logAddress } from '../words/addresses.ts'

type Props = {
  trips: Sums['trips']
  at: readonly number[]
  /** The kinds of events that it was seen in: the log shows those. */
  only: readonly TripEvent['what']['type'][]
}

/** The logs that something was seen in, the latest first; more than a few behind a control. */
export function TripLinks({ trips, at, only }: Props) {
  if (at.length === 0) return null
  const links = at.toReversed().flatMap((place) => {
    const trip = trips[place]
    return trip ? [<TripLink key={trip.id} {...trip} only={only} />] : []
  })
  if (links.length <= FEW) return <span className="flex flex-wrap gap-x-3 text-sm">{links}</span>
  return (
    <details className="text-sm">
      <summary className="cursor-pointer text-quiet">in {links.length} trips</summary>
      <span className="flex flex-wrap gap-x-3">{links}</span>
    </details>
  )
}

const FEW = 2

const TripLink = ({ id, name, only }: Sums['trips'][number] & Pick<Props, 'only'>) => (
  <Link to={logAddress(id, only)} className="text-tide underline" translate="no">
    {name}
  </Link>
)

/** The events that each count is of. */
export const EVENTS_OF: Record<Catch | Loss, readonly TripEvent['what']['type'][]> = {
  bites: ['bite'],
  missed: ['missed'],
  fish: ['fish'],
  snags: ['snag'],
  sinkersLost: ['snag'],
  tracesLost: ['snag'],
}
export const HOLD_EVENTS = ['held', 'dragged'] as const
export const BREAK_EVENTS = ['break'] as const
