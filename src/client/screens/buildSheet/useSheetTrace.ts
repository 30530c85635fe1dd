import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { sameJson } from '../../../core/documents/sameJson.ts'
import type { TraceContent } from '../../../shared/traceContent.ts'
import { documentQuery, type SavedTrace, saveDocument } from '../../api/documents.ts'
import type { Draft } from '../../drafts/draftKeeper.ts'
import { useDraft } from '../../drafts/useDraft.ts'

/** The trace that a build sheet shows: the unsaved work of the bench if there is any, else the saved revision. */
export function useSheetTrace(saved: SavedTrace) {
  const client = useQueryClient()
  const draft = useDraft('traces', saved.id)
  const [unsaved, setUnsaved] = useState<Draft<TraceContent> | undefined>(draft.resumed)
  const [isSavedShown, showSaved] = useState(false)
  const differs = unsaved !== undefined && !sameJson(unsaved.content, saved.content)
  const save = useMutation({
    mutationFn: (work: Draft<TraceContent>) => saveDocument('traces', saved.id, work.baseRevision, work.content),
    onSuccess: (result) => {
      if ('stale' in result) return
      draft.drop()
      setUnsaved(undefined)
      client.setQueryData(documentQuery('traces', saved.id).queryKey, result.saved)
      return client.invalidateQueries({ queryKey: ['traces', 'heads'] })
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
    save,
    isStale: save.data !== undefined && 'stale' in save.data,
  }
}
