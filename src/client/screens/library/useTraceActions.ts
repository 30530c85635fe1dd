import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useNavigate } from 'react-router'
import { toast } from 'sonner'
import { cutText } from '../../../core/documents/text.ts'
import { MOST_NAME } from '../../../core/documents/vocabulary.ts'
import { binDocument, createDocument, restoreDocument, type SavedTrace } from '../../api/documents.ts'

export type TraceActions = {
  duplicate: (saved: SavedTrace) => void
  bin: (id: string) => void
  restore: (id: string) => void
}

/** What is done with a trace of the library: duplicated, put in the bin, and taken out of it. */
export function useTraceActions(): TraceActions {
  const client = useQueryClient()
  const navigate = useNavigate()
  const refresh = () => client.invalidateQueries({ queryKey: ['traces'] })
  const failed = (error: Error) => toast.error(error.message)
  const restore = useMutation({ mutationFn: (id: string) => restoreDocument('traces', id), onSuccess: refresh, onError: failed })
  const bin = useMutation({
    mutationFn: (id: string) => binDocument('traces', id),
    onSuccess: (saved) => {
      void refresh()
      toast(`“${saved.content.trace.name}” is in the bin.`, {
        action: { label: 'Take back', onClick: () => restore.mutate(saved.id) },
      })
    },
    onError: failed,
  })
  const duplicate = useMutation({
    mutationFn: ({ content }: SavedTrace) =>
      createDocument('traces', {
        ...content,
        trace: { ...content.trace, name: cutText(`${content.trace.name}, copy`, MOST_NAME) },
      }),
    onSuccess: (saved) => {
      void refresh()
      void navigate(`/traces/${saved.id}`)
    },
    onError: failed,
  })
  return { duplicate: duplicate.mutate, bin: bin.mutate, restore: restore.mutate }
}
