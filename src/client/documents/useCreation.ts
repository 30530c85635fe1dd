import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useRef } from 'react'
import stableJson from 'safe-stable-stringify'
import type { ContentOf } from '../../shared/documentKinds.ts'
import type { DocumentKind } from '../../shared/kindNames.ts'
import { createDocument, refreshKind, type SavedDocument } from '../api/documents.ts'
import { newId } from '../api/newId.ts'

type Creation<Content, Made> = {
  make: (content: Content, id: string) => Promise<Made>
  onMade: (made: Made) => void
  onError?: (error: Error) => void
}

/**
 * Creates something at most once, however often it is called while the request runs. The id stays the same until the request
 * succeeds, so a retry after a lost answer does not create a second one.
 */
export function useCreation<Content, Made>({ make, onMade, onError }: Creation<Content, Made>) {
  const isRunning = useRef(false)
  const asked = useRef<{ content: string; id: string }>(undefined)
  const mutation = useMutation({
    mutationFn: (content: Content) => {
      const text = stableJson(content) ?? ''
      if (asked.current?.content !== text) asked.current = { content: text, id: newId() }
      return make(content, asked.current.id)
    },
    onSuccess: (made) => {
      asked.current = undefined
      onMade(made)
    },
    ...(onError ? { onError } : {}),
    onSettled: () => {
      isRunning.current = false
    },
  })
  return {
    isPending: mutation.isPending,
    error: mutation.error,
    create: (content: Content) => {
      if (isRunning.current) return
      isRunning.current = true
      mutation.mutate(content)
    },
  }
}

/** A new document of a kind. */
export function useCreate<K extends DocumentKind>(
  kind: K,
  { onMade, onError }: Omit<Creation<ContentOf<K>, SavedDocument<K>>, 'make'>,
) {
  const client = useQueryClient()
  return useCreation<ContentOf<K>, SavedDocument<K>>({
    make: (content, id) => createDocument(kind, content, id),
    onMade: (saved) => {
      void refreshKind(client, kind)
      onMade(saved)
    },
    ...(onError ? { onError } : {}),
  })
}
