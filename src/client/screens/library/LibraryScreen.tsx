import { useQuery } from '@tanstack/react-query'
import { Plus, Upload } from 'lucide-react'
import { lazy, Suspense, useState } from 'react'
import { Link } from 'react-router'
import { marksQuery, outfitsQuery } from '../../api/documents.ts'
import { useTraceHeads } from '../../api/useTraceHeads.ts'
import { Button, buttonClass } from '../../ui/controls.tsx'
import { Empty, Failed, Loading } from '../../ui/states.tsx'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { TraceList } from './TraceList.tsx'

// What opens in a dialog comes after the page that it opens over.
const ImportPanel = lazy(() => import('./ImportPanel.tsx'))
const EmptyBin = lazy(() => import('./EmptyBin.tsx'))

const NO_MARKS: never[] = []

/** Every trace with its small reach and verdicts; search, filter, duplicate, bin. */
export function LibraryScreen() {
  const [bin, setBin] = useState(false)
  usePageTitle(bin ? 'Bin' : 'Traces')
  const heads = useTraceHeads(bin)
  const outfits = useQuery(outfitsQuery)
  // Without their names the traces are still there.
  const marks = useQuery(marksQuery).data ?? NO_MARKS
  const error = heads.error ?? (outfits.data ? null : outfits.error)
  const retry = () => {
    void (heads.data && heads.hasNextPage ? heads.fetchNextPage() : heads.refetch())
    void outfits.refetch()
  }
  return (
    <div className="p-3 sm:px-6">
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <h1 className="mr-auto text-xl font-bold">{bin ? 'Bin' : 'Traces'}</h1>
        <Suspense
          fallback={
            !bin && (
              <Button tone="quiet" disabled>
                <Upload className="size-4" /> Import
              </Button>
            )
          }
        >
          {bin && heads.data && heads.data.length > 0 && !heads.hasNextPage && <EmptyBin count={heads.data.length} />}
          {!bin && outfits.data && <ImportPanel outfits={outfits.data} />}
        </Suspense>
        <Button tone="quiet" onClick={() => setBin(!bin)}>
          {bin ? 'Back to the traces' : 'Bin'}
        </Button>
        <Link to="/traces/new" className={buttonClass('strong')}>
          <Plus className="size-4" /> New trace
        </Link>
      </div>
      {error && <Failed what={heads.data ? 'Some of the traces' : 'The traces'} error={error} onRetry={retry} />}
      {heads.data && outfits.data ? (
        heads.data.length === 0 ? (
          <NoTraces bin={bin} />
        ) : (
          <TraceList
            key={String(bin)}
            heads={heads.data}
            complete={!heads.hasNextPage}
            outfits={outfits.data}
            marks={marks}
            bin={bin}
          />
        )
      ) : (
        !error && <Loading what="the traces" />
      )}
    </div>
  )
}

function NoTraces({ bin }: { bin: boolean }) {
  return bin ? (
    <Empty title="The bin is empty">A trace that is put here can be taken back.</Empty>
  ) : (
    <Empty title="No traces yet">
      <Link to="/traces/new" className="underline">
        Make the first one
      </Link>
      : choose an outfit and a family, and a sound draft is ready to change.
    </Empty>
  )
}
