import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import type { ContentOf } from '../../shared/documentKinds.ts'
import type { DocumentKind } from '../../shared/kindNames.ts'
import {
  createDocument,
  documentQuery,
  refreshKind,
  type SavedDocument,
  type SaveResult,
  saveDocument,
} from '../api/documents.ts'
import { newId } from '../api/newId.ts'

type Options<K extends DocumentKind> = {
  kind: K
  /** Undefined for a new document. */
  saved: { id: string } | undefined
  onSaved?: (saved: SavedDocument<K>) => void
}

/**
 * Saves a document, or creates it under one id however often that is tried. A save made from an older revision is refused:
 * `conflict` is then the version that was saved elsewhere, and nothing is overwritten until the caller saves onto that revision.
 */
export function useSave<K extends DocumentKind>({ kind, saved, onSaved }: Options<K>) {
  const client = useQueryClient()
  const [idOfNew] = useState(newId)
  const { mutate, mutateAsync, reset, data, isPending, error } = useMutation({
    mutationFn: async ({ content, onto }: { content: ContentOf<K>; onto: number }): Promise<SaveResult<K>> =>
      saved ? saveDocument(kind, saved.id, onto, content) : { saved: await createDocument(kind, content, idOfNew) },
    onSuccess: (result) => {
      void refreshKind(client, kind)
      if ('stale' in result) return
      client.setQueryData(documentQuery(kind, result.saved.id).queryKey, result.saved)
      onSaved?.(result.saved)
    },
  })
  return {
    save: mutate,
    /** The same, with its result. */
    saveNow: mutateAsync,
    isSaving: isPending,
    error,
    conflict: data && 'stale' in data ? data.stale : undefined,
    dismiss: reset,
  }
}
