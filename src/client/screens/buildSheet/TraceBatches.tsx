import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { listQuery } from '../../api/documents.ts'
import { useShow } from '../../settings/preferences.tsx'
import { batchAddress } from '../../words/addresses.ts'

/** The batches of a design that were begun, to go on with. */
export function TraceBatches({ traceId }: { traceId: string }) {
  const show = useShow()
  const batches = useQuery(listQuery('batches')).data?.documents.filter(({ content }) => content.traceId === traceId) ?? []
  if (batches.length === 0) return null
  return (
    <nav aria-label="Batches of this trace" className="no-print flex flex-wrap items-center gap-x-4 gap-y-1 text-sm">
      <span className="text-quiet">Batches:</span>
      {batches.map(({ id, content: { name, forDate } }) => (
        <Link key={id} to={batchAddress(traceId, id)} className="underline" translate="no">
          {name}
          {forDate && `, for ${show.date(forDate)}`}
        </Link>
      ))}
    </nav>
  )
}
