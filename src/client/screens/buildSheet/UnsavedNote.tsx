import { Link } from 'react-router'
import { DraftNotes } from '../../documents/DraftNotes.tsx'
import { Button } from '../../ui/controls.tsx'
import type { useSheetTrace } from './useSheetTrace.ts'

type Props = { of: ReturnType<typeof useSheetTrace>; id: string; revision: number }

/** Says which version the sheet shows when the bench has unsaved changes, and saves them with one click. */
export function UnsavedNote({ of, id, revision }: Props) {
  const { unsaved, isSavedShown, showSaved, draft, takeUp, save, isSaving, error, isStale } = of
  return (
    <>
      <DraftNotes draft={draft} onTakeUp={takeUp} />
      {unsaved && (
        <div role="status" className="flex flex-wrap items-center gap-2 rounded-lg border border-watch bg-sheet px-3 py-2">
          <p className="mr-auto min-w-60 flex-1">
            {isSavedShown ? (
              `This sheet shows revision ${revision}. The bench has changes that are not saved.`
            ) : (
              <>
                <strong>Not saved.</strong> This sheet shows the trace as it is on the bench, changed since revision{' '}
                {unsaved.baseRevision}.
              </>
            )}
          </p>
          <span className="no-print flex gap-1.5">
            <Button onClick={() => showSaved(!isSavedShown)}>
              {isSavedShown ? 'Show the changes' : `Show revision ${revision}`}
            </Button>
            <Button tone="strong" disabled={isSaving} onClick={save}>
              Save
            </Button>
          </span>
        </div>
      )}
      {isStale && (
        <p role="alert" className="rounded-lg border border-fails bg-sheet px-3 py-2">
          This trace was saved elsewhere. Your changes are kept.{' '}
          <Link to={`/traces/${id}`} className="underline">
            Open the bench to choose
          </Link>
          .
        </p>
      )}
      {error && (
        <p role="alert" className="rounded-lg border border-fails bg-sheet px-3 py-2">
          {error.message} Your changes are kept in this browser.
        </p>
      )}
    </>
  )
}
