import { Link } from 'react-router'
import type { Sums } from '../../core/lessons/sums.ts'

/** The logs that something was seen in, the latest first; more than a few behind a control. */
export function TripLinks({ trips, at }: { trips: Sums['trips']; at: readonly number[] }) {
  if (at.length === 0) return null
  const links = at.toReversed().flatMap((place) => {
    const trip = trips[place]
    return trip ? [<TripLink key={trip.id} {...trip} />] : []
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

const TripLink = ({ id, name }: Sums['trips'][number]) => (
  <Link to={`/trips/${id}/log`} className="text-tide underline" translate="no">
    {name}
  </Link>
)
