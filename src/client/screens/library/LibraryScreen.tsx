import { useQuery } from '@tanstack/react-query'
import { Plus, Upload } from 'lucide-react'
import { lazy, Suspense, useState } from 'react'
import { Link } from 'react-router'
import { demoQuery } from '../../api/demo.ts'
import { marksQuery, outfitsQuery } from '../../api/documents.ts'
import { useTraceHeads } from '../../api/useTraceHeads.ts'
import { ListFrame } from '../../documents/ListFrame.tsx'
import { Button, buttonClass } from '../../ui/controls.tsx'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { TraceList } from './TraceList.tsx'

// The dialog loads after the page that it opens over.
const ImportPanel = lazy(() => import('./ImportPanel.tsx'))
const FirstSteps = lazy(() => import('../../documents/FirstSteps.tsx'))

const NO_MARKS: never[] = []
const NO_EXAMPLES: never[] = []

/** Every trace with its small drawing and verdicts; search, filter, duplicate, delete. */
export function LibraryScreen() {
  const [isTrash, setTrash] = useState(false)
  usePageTitle(isTrash ? 'Trash' : 'Traces')
  const heads = useTraceHeads(isTrash)
  const outfits = useQuery(outfitsQuery)
  const examples = useQuery(demoQuery).data?.shown
  // The traces are shown without the names of their marks until those arrive.
  const marks = useQuery(marksQuery).data ?? NO_MARKS
  const retry = () => {
    void (heads.data && heads.hasNextPage ? heads.fetchNextPage() : heads.refetch())
    void outfits.refetch()
  }
  return (
    <ListFrame
      kind="traces"
      title="Traces"
      isTrash={isTrash}
      onTrash={setTrash}
      count={outfits.data && heads.data?.length}
      isComplete={!heads.hasNextPage}
      error={heads.error ?? (outfits.data ? null : outfits.error)}
      onRetry={retry}
      actions={
        <>
          <Suspense
            fallback={
              <Button tone="quiet" disabled>
                <Upload className="size-4" aria-hidden="true" /> Import
              </Button>
            }
          >
            {outfits.data && <ImportPanel outfits={outfits.data} />}
          </Suspense>
          <Link to="/traces/new" className={buttonClass('strong')}>
            <Plus className="size-4" aria-hidden="true" /> New trace
          </Link>
        </>
      }
      intro={<Suspense>{heads.data && <FirstSteps heads={heads.data} />}</Suspense>}
      empty={{
        title: 'No traces yet',
        text: (
          <Link to="/traces/new" className="underline">
            Tie the first one
          </Link>
        ),
      }}
    >
      <TraceList
        key={String(isTrash)}
        heads={heads.data ?? []}
        complete={!heads.hasNextPage}
        outfits={outfits.data ?? []}
        marks={marks}
        examples={examples ?? NO_EXAMPLES}
        isTrash={isTrash}
      />
    </ListFrame>
  )
}
