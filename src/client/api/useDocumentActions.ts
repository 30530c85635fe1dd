import { useMutation, useQueryClient } from '@tanstack/react-query'
import { toast } from 'sonner'
import type { ContentOf } from '../../shared/documentKinds.ts'
import type { DocumentKind } from '../../shared/kindNames.ts'
import { binDocument, restoreDocument, type SavedDocument } from './documents.ts'
import { useCreate } from './useCreation.ts'

type Options<K extends DocumentKind> = {
  kind: K
  nameOf: (content: ContentOf<K>) => string
  /** The content as a copy of its own, under another name. */
  copyOf: (content: ContentOf<K>) => ContentOf<K>
  onCopied?: (saved: SavedDocument<K>) => void
}

export type DocumentActions<K extends DocumentKind> = {
  duplicate: (saved: SavedDocument<K>) => void
  isCopying: boolean
  bin: (id: string) => void
  restore: (id: string) => void
}

/** What is done with a document of a list: duplicated, put in the bin, and taken out of it. */
export function useDocumentActions<K extends DocumentKind>({ kind, nameOf, copyOf, onCopied }: Options<K>): DocumentActions<K> {
  const client = useQueryClient()
  const refresh = () => client.invalidateQueries({ queryKey: [kind] })
  const onError = (error: Error) => toast.error(error.message)
  const restore = useMutation({ mutationFn: (id: string) => restoreDocument(kind, id), onSuccess: refresh, onError })
  const bin = useMutation({
    mutationFn: (id: string) => binDocument(kind, id),
    onSuccess: (saved) => {
      void refresh()
      toast(`“${nameOf(saved.content)}” is in the bin.`, {
        action: { label: 'Take back', onClick: () => restore.mutate(saved.id) },
      })
    },
    onError,
  })
  const copy = useCreate(kind, { onMade: (saved) => onCopied?.(saved), onError })
  return {
    duplicate: ({ content }) => copy.create(copyOf(content)),
    isCopying: copy.isPending,
    bin: bin.mutate,
    restore: restore.mutate,
  }
}
