import { useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import { Link } from 'react-router'
import { tiedOfBatches } from '../../../core/batch/readiness.ts'
import { listQuery } from '../../api/documents.ts'
import { useTraceHeads } from '../../api/useTraceHeads.ts'
import { DocumentHead } from '../../documents/DocumentHead.tsx'
import { DocumentList } from '../../documents/DocumentList.tsx'
import { useShow } from '../../settings/preferences.tsx'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { batchAddress } from '../../words/addresses.ts'

/** The list of batches, each with how many of its traces are tied. Start one on the build sheet of a trace. */
export default function BatchesScreen() {
  usePageTitle('Batches')
  const show = useShow()
  const tied = useQuery(listQuery('tied')).data?.documents
  const heads = useTraceHeads().data
  const done = useMemo(() => tied && tiedOfBatches(tied), [tied])
  return (
    <DocumentList
      kind="batches"
      title="Batches"
      searchText={({ name, notes }) => `${name} ${notes ?? ''}`}
      actions={() => null}
      empty={{
        title: 'No batches yet',
        text: (
          <>
            A batch is several traces of one design, tied together. Open the build sheet of{' '}
            <Link to="/traces" className="underline">
              a trace
            </Link>{' '}
            and start one there.
          </>
        ),
      }}
    >
      {(batches, isTrash, actions) => (
        <ul className="grid gap-2 md:grid-cols-2">
          {batches.map((saved) => {
            const { id, content } = saved
            return (
              <li key={id} className="rounded-lg border border-rule bg-sheet p-3">
                <DocumentHead
                  saved={saved}
                  name={content.name}
                  to={batchAddress(content.traceId, id)}
                  isTrash={isTrash}
                  actions={actions}
                >
                  <p className="text-sm text-quiet">
                    <span translate="no">
                      {heads?.find((head) => head.id === content.traceId)?.content.name ?? 'its design is deleted'}
                    </span>
                    , revision {content.traceRevision}
                    {content.forDate && ` · for ${show.date(content.forDate)}`}
                  </p>
                  <p>
                    {done ? (done.get(id) ?? 0) : '…'} of {content.count} tied
                  </p>
                </DocumentHead>
              </li>
            )
          })}
        </ul>
      )}
    </DocumentList>
  )
}
