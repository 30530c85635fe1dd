import { useQuery } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { Link, useParams, useSearchParams } from 'react-router'
import {
  documentQuery,
  outfitsQuery,
  revisionQuery,
  type SavedDocument,
  type SavedOutfit,
  type SavedTrace,
} from '../../api/documents.ts'
import { buttonClass } from '../../ui/controls.tsx'
import { Failed, Loading } from '../../ui/states.tsx'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { BatchSheet } from './BatchSheet.tsx'
import { BuildSheet } from './BuildSheet.tsx'
import { UnsavedNote } from './UnsavedNote.tsx'
import { useSheetTrace } from './useSheetTrace.ts'

/** Cut list, order of threading and steps of one trace, for a number of them or for a batch; made to be printed and to be read on a phone. */
export default function BuildSheetScreen() {
  const { id = '' } = useParams()
  const [search] = useSearchParams()
  const batchId = search.get('batch') ?? undefined
  const saved = useQuery(documentQuery('traces', id))
  usePageTitle(batchId ? 'Batch' : 'Build sheet', saved.data?.content.trace.name)
  const outfits = useQuery(outfitsQuery)
  const batch = useQuery({ ...documentQuery('batches', batchId ?? ''), enabled: batchId !== undefined })
  // The bench releases its draft when it unmounts, which is after this screen first renders.
  const [hasLeft, setHasLeft] = useState(false)
  useEffect(() => setHasLeft(true), [])
  const error = (saved.data ? null : saved.error) ?? (outfits.data ? null : outfits.error) ?? (batch.data ? null : batch.error)
  if (error)
    return (
      <Failed
        isPage
        what="The build sheet"
        error={error}
        onRetry={() => {
          saved.refetch()
          outfits.refetch()
          if (batchId !== undefined) batch.refetch()
        }}
      />
    )
  if (!saved.data || !outfits.data || !hasLeft || (batchId !== undefined && !batch.data))
    return <Loading what="the build sheet" />
  if (batch.data) return <SheetOfBatch key={batchId} batch={batch.data} current={saved.data} outfits={outfits.data} />
  return <SheetOfTrace key={id} saved={saved.data} outfits={outfits.data} />
}

function SheetOfTrace({ saved, outfits }: { saved: SavedTrace; outfits: SavedOutfit[] }) {
  const of = useSheetTrace(saved)
  const outfit = outfits.find(({ id }) => id === of.content.outfitId)?.content
  const note = <UnsavedNote of={of} id={saved.id} revision={saved.revision} />
  if (!outfit) return <NoOutfit>{note}</NoOutfit>
  const isUnsaved = of.unsaved !== undefined && !of.isSavedShown
  return (
    <BuildSheet
      id={saved.id}
      content={of.content}
      outfit={outfit}
      version={isUnsaved ? 'not saved' : `revision ${saved.revision}`}
      revision={isUnsaved ? undefined : saved.revision}
      note={note}
    />
  )
}

type BatchProps = { batch: SavedDocument<'batches'>; current: SavedTrace; outfits: SavedOutfit[] }

/** A batch keeps the revision that it was begun with, whatever the design became since. */
function SheetOfBatch({ batch, current, outfits }: BatchProps) {
  const { traceId, traceRevision } = batch.content
  const trace = useQuery(revisionQuery('traces', traceId, traceRevision))
  if (trace.error && !trace.data)
    return <Failed isPage what="The design of this batch" error={trace.error} onRetry={() => trace.refetch()} />
  if (!trace.data) return <Loading what="the design of this batch" />
  const outfit = outfits.find(({ id }) => id === trace.data.content.outfitId)?.content
  if (!outfit) return <NoOutfit />
  const note = current.revision !== traceRevision && (
    <p role="status" className="rounded-lg border border-watch bg-sheet px-3 py-2">
      This batch is tied by revision {traceRevision}. The design is at revision {current.revision} now.{' '}
      <Link to={`/traces/${traceId}/build`} className="no-print underline">
        Open the newest
      </Link>
    </p>
  )
  return <BatchSheet batch={batch} content={trace.data.content} outfit={outfit} note={note} />
}

const NoOutfit = ({ children }: { children?: React.ReactNode }) => (
  <div className="grid gap-3 p-6">
    {children}
    <h1>The outfit of this trace is in the trash.</h1>
    <p>Restore it or choose another on the bench.</p>
    <Link to="/gear" className={`${buttonClass()} justify-self-start`}>
      Outfits
    </Link>
  </div>
)
