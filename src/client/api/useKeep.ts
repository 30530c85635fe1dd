import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useRef } from 'react'
import { type ContentOf, DOCUMENT_KINDS } from '../../shared/documentKinds.ts'
import type { DocumentKind } from '../../shared/kindNames.ts'
import { createDocument, type SavedDocument, saveDocument } from './documents.ts'
import { newId } from './newId.ts'

/** What a panel is open on. */
export type Editing<K extends DocumentKind> = SavedDocument<K> | 'new'

/**
 * Saves what a panel edits. The panel stays open, with everything that was typed, until the save succeeds. If the document was saved
 * elsewhere in the meantime, the first attempt says so; the second saves over it, and the other version stays in the history.
 */
export function useKeep<K extends DocumentKind>(kind: K, editing: Editing<K> | undefined, close: () => void) {
  const client = useQueryClient()
  const newest = useRef<{ of: Editing<K>; id: string; base: number }>(undefined)
  const mutation = useMutation({
    mutationFn: async (content: ContentOf<K>) => {
      if (!editing) return
      const isNew = editing === 'new'
      if (newest.current?.of !== editing)
        newest.current = { of: editing, id: isNew ? newId() : editing.id, base: isNew ? 0 : editing.revision }
      const { id, base } = newest.current
      if (isNew) return void (await createDocument(kind, content, id))
      const saved = await saveDocument(kind, id, base, content)
      if (!('stale' in saved)) return
      newest.current.base = saved.stale.revision
      throw new Error(
        `This ${DOCUMENT_KINDS[kind].one} was changed elsewhere meanwhile. Save again to replace that version; it stays in the history.`,
      )
    },
    onSuccess: () => {
      newest.current = undefined
      close()
    },
    onSettled: () => client.invalidateQueries({ queryKey: [kind] }),
  })
  return {
    saving: mutation.isPending,
    error: mutation.error,
    /** Called with the content to save, or with undefined when the panel is closed without saving. */
    onDone: (content: ContentOf<K> | undefined) => {
      if (content) return mutation.mutate(content)
      mutation.reset()
      newest.current = undefined
      close()
    },
  }
}
