import type { DocumentKind } from '../../shared/kindNames.ts'
import { Button } from '../ui/controls.tsx'
import { DifferenceList } from './DifferenceList.tsx'
import { DraftNotes } from './DraftNotes.tsx'
import type { DocumentForm } from './useDocumentForm.ts'

/** Everything a form has to say: unsaved work of an earlier visit, why it was not saved, and a version that was saved elsewhere. */
export function FormNotes<K extends DocumentKind>({ of }: { of: DocumentForm<K> }) {
  const { one, complaint, isResumed, discard, draft, takeUp, error, conflict, useTheirs, saveOver, content } = of
  const message = complaint ?? error?.message
  return (
    <>
      {isResumed && (
        <p role="status" className="flex flex-wrap items-center gap-x-3 text-sm text-watch">
          Your unsaved changes are back.
          <Button tone="quiet" onClick={discard}>
            Discard them
          </Button>
        </p>
      )}
      <DraftNotes draft={draft} onTakeUp={takeUp} />
      {message && (
        <p role="alert" className="rounded-lg border border-fails bg-sheet p-3">
          {message}
        </p>
      )}
      {conflict && (
        <div role="alert" className="rounded-lg border border-watch bg-sheet p-3">
          <p>This {one} was saved elsewhere. From that version to yours:</p>
          <DifferenceList from={conflict.content} to={content} />
          <p className="mt-2 flex flex-wrap gap-2">
            <Button onClick={useTheirs}>Use the other version</Button>
            <Button tone="strong" onClick={saveOver}>
              Save mine over it
            </Button>
          </p>
        </div>
      )}
    </>
  )
}
