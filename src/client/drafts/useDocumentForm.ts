import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { useNavigate } from 'react-router'
import { toast } from 'sonner'
import type { z } from 'zod'
import { type ContentOf, DOCUMENT_KINDS } from '../../shared/documentKinds.ts'
import { createDocument, type SavedDocument, saveDocument } from '../api/documents.ts'
import { newId } from '../api/newId.ts'
import { useNoFaults } from '../ui/useNoFaults.ts'
import type { Draft } from './draftKeeper.ts'
import { useDraft } from './useDraft.ts'

/** The kinds that are written in a form of their own. */
export type FormKind = 'marks' | 'outfits'

type Options<K extends FormKind> = {
  kind: K
  saved: SavedDocument<K> | undefined
  first: ContentOf<K>
  /** What each field is called in a complaint. */
  fieldWords: Readonly<Record<string, string>>
  /** Where a save leads, given the id it was stored under. */
  after: (id: string) => string
}

export type DocumentForm<K extends FormKind> = ReturnType<typeof useDocumentForm<K>>

/** A document being written: kept in this browser while it is not saved, saved onto the revision it was read at. */
export function useDocumentForm<K extends FormKind>({ kind, saved, first, fieldWords, after }: Options<K>) {
  const { one, content: schema } = DOCUMENT_KINDS[kind]
  const navigate = useNavigate()
  const client = useQueryClient()
  const { ref: form, complaint, complain, whenSound } = useNoFaults<HTMLFormElement>()
  const draft = useDraft(kind, saved?.id ?? `new-${one}`)
  // Sent twice, a new document is stored once.
  const [id] = useState(newId)
  const { resumed: kept, keep, drop } = draft
  const [base, setBase] = useState(kept?.baseRevision ?? saved?.revision ?? 1)
  const [content, setContent] = useState(kept?.content ?? first)
  const [touched, setTouched] = useState(kept !== undefined)
  useEffect(() => {
    if (touched) keep(base, content)
  }, [touched, keep, base, content])
  const change = (next: Partial<ContentOf<K>>) => {
    setTouched(true)
    complain()
    setContent((old) => ({ ...old, ...next }))
  }
  const forget = () => {
    drop()
    void client.invalidateQueries({ queryKey: [kind] })
  }
  const save = useMutation({
    mutationFn: async ({ content, onto }: { content: ContentOf<K>; onto: number }) =>
      saved ? saveDocument(kind, saved.id, onto, content) : { saved: await createDocument(kind, content, id) },
    onSuccess: (result) => {
      if ('stale' in result) return
      forget()
      toast(`The ${one} is saved.`)
      void navigate(after(result.saved.id))
    },
  })
  const theirs = save.data && 'stale' in save.data ? save.data.stale : undefined
  const saveNow = (onto: number) => {
    const checked = (schema as unknown as z.ZodType<ContentOf<K>>).safeParse(content)
    if (checked.success) return save.mutate({ content: checked.data, onto })
    const [first] = checked.error.issues
    complain(`${fieldWords[String(first?.path[0])] ?? `The ${one}`} ${first?.message ?? 'is not right'}. Nothing was saved.`)
  }
  const saveOnto = (onto: number) => whenSound(() => saveNow(onto))
  return {
    one,
    form,
    content,
    change,
    complaint,
    /** What is shown was left unsaved earlier. */
    resumed: kept !== undefined && touched,
    draft,
    takeUp: (taken: Draft<ContentOf<K>>) => {
      setContent(taken.content)
      setBase(taken.baseRevision)
      setTouched(true)
    },
    saving: save.isPending,
    error: save.error,
    /** What was saved elsewhere since, where that is so. */
    theirs,
    submit: () => saveOnto(base),
    saveOver: () => theirs && saveOnto(theirs.revision),
    takeTheirs: () => {
      if (!theirs) return
      forget()
      setTouched(false)
      setContent(theirs.content)
      setBase(theirs.revision)
      save.reset()
    },
  }
}
