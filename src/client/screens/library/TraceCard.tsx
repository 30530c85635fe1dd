import { useQuery } from '@tanstack/react-query'
import { Hammer } from 'lucide-react'
import { lazy, Suspense } from 'react'
import { ErrorBoundary } from 'react-error-boundary'
import { Link } from 'react-router'
import type { Readiness } from '../../../core/batch/readiness.ts'
import { familyName } from '../../../core/catalogue/familyIds.ts'
import type { Outfit } from '../../../core/documents/outfit.ts'
import { revisionQuery, type SavedTraceHead } from '../../api/documents.ts'
import { MiniReach } from '../../charts/MiniReach.tsx'
import { DocumentButtons } from '../../documents/DocumentButtons.tsx'
import { ReadyWords } from '../../documents/ReadyWords.tsx'
import { buttonClass } from '../../ui/controls.tsx'
import type { TraceActions } from './useTraceActions.ts'
import { VerdictRows } from './VerdictRows.tsx'

/** What judges comes after what is listed. */
const CardVerdicts = lazy(() => import('./CardVerdicts.tsx'))

type Props = {
  head: SavedTraceHead
  outfit: Outfit | undefined
  /** The name of the mark that it is for. */
  mark: string | undefined
  /** What of it is tied; undefined for a design that never was. */
  readiness: Readiness | undefined
  isExample: boolean
  isTrash: boolean
  /** Whether the card stays in view: what it shows beside its head is fetched only then. */
  still: boolean
  actions: TraceActions
  picked: boolean
  onPick: () => void
}

/** A trace of the library: its head at once, its small reach and verdicts when it is in view. */
export function TraceCard({ head, outfit, mark, readiness, isExample, isTrash, still, actions, picked, onPick }: Props) {
  const { id, revision } = head
  const { name, family, tags } = head.content
  const query = useQuery({ ...revisionQuery('traces', id, revision), enabled: still })
  const saved = query.data
  return (
    <div className="grid gap-x-3 gap-y-1 rounded-lg border border-rule bg-sheet px-2.5 py-1.5 sm:grid-cols-[minmax(0,1fr)_8rem_auto]">
      <div className="min-w-0">
        <h2 className="flex items-center gap-2 font-semibold">
          {!isTrash && (
            <input
              type="checkbox"
              className="size-5 shrink-0"
              checked={picked}
              onChange={onPick}
              aria-label={`Compare ${name}`}
              title="Compare"
            />
          )}
          {isTrash ? (
            name
          ) : (
            <Link to={`/traces/${id}`} translate="no" className="truncate hover:underline">
              {name}
            </Link>
          )}
        </h2>
        <p className="truncate text-sm text-quiet">
          {isExample && <span className="mr-1.5 rounded bg-well px-1.5">example</span>}
          {family !== null && familyName(family)}
          <span translate="no">
            {outfit && ` · ${outfit.name}`}
            {mark && ` · ${mark}`}
          </span>
          {tags.map((tag) => (
            <span key={tag} className="ml-1.5 rounded bg-well px-1.5">
              {tag}
            </span>
          ))}
        </p>
        {readiness && !isTrash && <ReadyWords {...readiness} />}
        <div className="mt-1 h-12 max-w-xl [&_svg]:h-12">
          {saved && outfit && <MiniReach trace={saved.content.trace} outfit={outfit} />}
          {query.error && <p className="text-sm text-fails">{query.error.message} It is kept unchanged.</p>}
        </div>
      </div>
      <ErrorBoundary
        resetKeys={[saved, outfit]}
        fallback={<p className="text-sm text-fails">This trace cannot be calculated. You can still delete it.</p>}
      >
        <Suspense fallback={<VerdictRows />}>
          <CardVerdicts saved={saved} outfit={outfit} />
        </Suspense>
      </ErrorBoundary>
      <div className="flex flex-col justify-between max-sm:flex-row max-sm:justify-end">
        {!isTrash && (
          <Link
            to={`/traces/${id}/build`}
            className={`${buttonClass('quiet')} ${SMALL}`}
            aria-label={`Build sheet of ${name}`}
            title="Build sheet"
          >
            <Hammer className="size-4" />
          </Link>
        )}
        <DocumentButtons id={id} name={name} saved={saved} isTrash={isTrash} actions={actions} className={isTrash ? '' : SMALL} />
      </div>
    </div>
  )
}

/** Dense at a table; as large as a thumb on a phone. */
const SMALL = 'px-2! sm:min-h-7!'
