import { useEffect, useState } from 'react'
import type { z } from 'zod'
import { type ContentOf, DOCUMENT_KINDS } from '../../shared/documentKinds.ts'
import { type DocumentKind, nameOf } from '../../shared/kindNames.ts'
import type { SavedDocument } from '../api/documents.ts'
import { toast } from '../regional/toast.ts'
import { useNoFaults } from '../ui/useNoFaults.ts'
import type { Draft } from './draftKeeper.ts'
import { useDraft } from './useDraft.ts'
import { useSave } from './useSave.ts'

type Options<K extends DocumentKind> = {
  kind: K
  saved: SavedDocument<K> | undefined
  /** What a new document starts with. */
  blank: ContentOf<K>
  /** What each top-level field is called in an error message. */
  fieldNames: Readonly<Record<string, string>>
  /** Completes the content before it is checked, such as with a name made from the rest. */
  complete?: (content: ContentOf<K>) => ContentOf<K>
  onSaved: (saved: SavedDocument<K>) => void
}

export type DocumentForm<K extends DocumentKind> = ReturnType<typeof useDocumentForm<K>>

/** The form of one document: unsaved work is kept in this browser, checked by the schema, and saved onto the revision it started from. */
export function useDocumentForm<K extends DocumentKind>({ kind, saved, blank, fieldNames, complete, onSaved }: Options<K>) {
  const { one, content: schema } = DOCUMENT_KINDS[kind]
  const { ref: form, complaint, setFormError, submitIfValid } = useNoFaults<HTMLFormElement>()
  const draft = useDraft(kind, saved?.id ?? `new-${one}`)
  const { resumed, keep, drop } = draft
  const first = saved?.content ?? blank
  const [base, setBase] = useState(resumed?.baseRevision ?? saved?.revision ?? 1)
  const [content, setContent] = useState(resumed?.content ?? first)
  const [isChanged, setChanged] = useState(resumed !== undefined)
  /** Changes when the whole content is replaced, so that the fields start again without their unfinished text. */
  const [version, setVersion] = useState(0)
  useEffect(() => {
    if (isChanged) keep(base, content)
  }, [isChanged, keep, base, content])
  const saving = useSave({
    kind,
    saved,
    onSaved: (now) => {
      drop()
      setChanged(false)
      toast(`“${nameOf(now.content) || `The ${one}`}” is saved.`)
      onSaved(now)
    },
  })
  const { conflict } = saving
  const edit = (change: (old: ContentOf<K>) => ContentOf<K>) => {
    setChanged(true)
    setFormError()
    setContent(change)
  }
  const restart = (next: ContentOf<K>, baseRevision: number, isUnsaved: boolean) => {
    if (!isUnsaved) drop()
    setFormError()
    saving.dismiss()
    setContent(next)
    setBase(baseRevision)
    setChanged(isUnsaved)
    setVersion((old) => old + 1)
  }
  const saveOnto = (onto: number) =>
    submitIfValid(() => {
      const checked = (schema as unknown as z.ZodType<ContentOf<K>>).safeParse(complete?.(content) ?? content)
      if (checked.success) return saving.save({ content: checked.data, onto })
      const [issue] = checked.error.issues
      setFormError(
        `${fieldNames[String(issue?.path[0])] ?? `The ${one}`} ${issue?.message ?? 'is not valid'}. Nothing was saved.`,
      )
    })
  return {
    kind,
    saved,
    one,
    form,
    content,
    version,
    change: (next: Partial<ContentOf<K>>) => edit((old) => ({ ...old, ...next })),
    /** Changes the content to another one, such as of another kind. */
    replace: (next: ContentOf<K>) => edit(() => next),
    complaint,
    /** The form started with unsaved changes from an earlier visit. */
    isResumed: resumed !== undefined && isChanged,
    draft,
    takeUp: (taken: Draft<ContentOf<K>>) => restart(taken.content, taken.baseRevision, true),
    discard: () => restart(first, saved?.revision ?? 1, false),
    isSaving: saving.isSaving,
    error: saving.error,
    /** The version that was saved elsewhere, if that is why the save was refused. */
    conflict,
    submit: () => saveOnto(base),
    saveOver: () => conflict && saveOnto(conflict.revision),
    useTheirs: () => conflict && restart(conflict.content, conflict.revision, false),
    /** Puts an earlier revision into the form, to be saved as the newest. */
    bringBack: (earlier: ContentOf<K>) => restart(earlier, base, true),
  }
}
