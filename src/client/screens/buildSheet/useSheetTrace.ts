import { useState } from 'react'
import { sameJson } from '../../../core/documents/sameJson.ts'
import type { TraceContent } from '../../../shared/traceContent.ts'
import type { SavedTrace } from '../../api/documents.ts'
import type { Draft } from '../../documents/draftKeeper.ts'
import { useDraft } from '../../documents/useDraft.ts'
import { useSave } from '../../documents/useSave.ts'

/** The trace that a build sheet shows: the unsaved work of the bench if there is any, else the saved revision. */
export function useSheetTrace(saved: SavedTrace) {
  const draft = useDraft('traces', saved.id)
  const [unsaved, setUnsaved] = useState<Draft<TraceContent> | undefined>(draft.resumed)
  const [isSavedShown, showSaved] = useState(false)
  const differs = unsaved !== undefined && !sameJson(unsaved.content, saved.content)
  const { save, isSaving, error, conflict } = useSave({
    kind: 'traces',
    saved,
    onSaved: () => {
      draft.drop()
      setUnsaved(undefined)
    },
  })
  return {
    content: differs && !isSavedShown ? unsaved.content : saved.content,
    /** Undefined if there is no unsaved work. */
    unsaved: differs ? unsaved : undefined,
    isSavedShown,
    showSaved,
    draft,
    takeUp: setUnsaved,
    save: () => unsaved && save({ onto: unsaved.baseRevision, content: unsaved.content }),
    isSaving,
    error,
    isStale: conflict !== undefined,
  }
}
