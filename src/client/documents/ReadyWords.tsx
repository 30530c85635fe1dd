import { Link } from 'react-router'
import type { Readiness } from '../../core/batch/readiness.ts'
import { useShow } from '../settings/preferences.tsx'

/** How many of a design are tied and ready, and what its batches still want. */
export function ReadyWords({ ready, short }: Readiness) {
  const show = useShow()
  return (
    <p className="text-sm">
      {ready > 0 && (
        <Link to="/tied" className="underline decoration-dotted">
          {ready} ready
        </Link>
      )}
      {ready > 0 && short.length > 0 && ', '}
      {short.map(({ count, forDate }, i) => (
        <span key={`${forDate} ${i}`} className="text-watch">
          {i > 0 && ', '}
          {count} to tie{forDate && ` for ${show.date(forDate)}`}
        </span>
      ))}
    </p>
  )
}
