import { Link } from 'react-router'
import { isLow } from '../../core/documents/gear.ts'
import { useBox } from '../api/stock.ts'

/** So many are named at a glance. */
const MAX_NAMED = 3

/** What of the box is below its minimum, and where to see what to buy. */
export function RunningOut() {
  const { box } = useBox()
  const low = (box ?? []).filter(({ gear, spools }) => isLow(gear, spools && sum(spools)))
  if (low.length === 0) return <p className="text-quiet">Nothing is below its minimum.</p>
  return (
    <p>
      <span translate="no">
        {low
          .slice(0, MAX_NAMED)
          .map(({ gear }) => gear.name)
          .join(', ')}
      </span>
      {low.length > MAX_NAMED && ` and ${low.length - MAX_NAMED} more`}.{' '}
      <Link to="/shopping" className="underline">
        What to buy
      </Link>
    </p>
  )
}

const sum = (spools: readonly { quantity: number }[]): number => spools.reduce((all, { quantity }) => all + quantity, 0)
