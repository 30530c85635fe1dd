import { useMutation, useQueryClient } from '@tanstack/react-query'
import { copyName } from '../../core/documents/text.ts'
import { type DocumentKind, nameOf, withName } from '../../shared/kindNames.ts'
import { deleteDocument, refreshKind, restoreDocument, type SavedDocument } from '../api/documents.ts'
import { toast } from '../regional/toast.ts'
import { useCreate } from './useCreation.ts'

export type DocumentActions<K extends DocumentKind> = {
  duplicate: (saved: SavedDocument<K>) => void
  isCopying: boolean
  moveToTrash: (id: string) => void
  restore: (id: string) => void
}

/** What a list does with a document: duplicate it, move it to the trash, restore it. */
export function useDocumentActions<K extends DocumentKind>(
  kind: K,
  onCopied?: (saved: SavedDocument<K>) => void,
): DocumentActions<K> {
  const client = useQueryClient()
  const refresh = () => refreshKind(client, kind)
  const onError = (error: Error) => toast.error(error.message)
  const restore = useMutation({ mutationFn: (id: string) => restoreDocument(kind, id), onSuccess: refresh, onError })
  const remove = useMutation({
    mutationFn: (id: string) => deleteDocument(kind, id),
    onSuccess: (saved) => {
      void refresh()
      toast(`“${nameOf(saved.content)}” is in the trash.`, {
        action: { label: 'Restore', onClick: () => restore.mutate(saved.id) },
      })
    },
    onError,
  })
  const copy = useCreate(kind, { onMade: (saved) => onCopied?.(saved), onError })
  return {
    duplicate: ({ content }) => copy.create(withName(content, copyName(nameOf(content) ?? ''))),
    isCopying: copy.isPending,
    moveToTrash: remove.mutate,
    restore: restore.mutate,
  }
}
