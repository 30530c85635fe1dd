import { zodResolver } from '@hookform/resolvers/zod'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useEffect, useRef, useState } from 'react'
import { useForm, useWatch } from 'react-hook-form'
import { useNavigate } from 'react-router'
import { toast } from 'sonner'
import type { z } from 'zod'
import { type Mark, markSchema } from '../../../core/documents/mark.ts'
import type { SavedMark } from '../../api/documents.ts'
import { createDocument, marksQuery, saveDocument } from '../../api/documents.ts'
import { newId } from '../../api/newId.ts'
import type { Draft } from '../../drafts/draftKeeper.ts'
import { useDraft } from '../../drafts/useDraft.ts'

const FIELD_WORDS: Record<string, string> = {
  name: 'The mark',
  latitudeDeg: 'The latitude',
  longitudeDeg: 'The longitude',
  depthM: 'The depth',
  stream: 'The stream table',
  heights: 'The table of heights',
}

/** A mark being written: kept in this browser while it is not saved, saved onto the revision it was read at. */
export function useMarkForm(saved: SavedMark | undefined, first: Mark) {
  const navigate = useNavigate()
  const client = useQueryClient()
  const form = useRef<HTMLFormElement>(null)
  const draftId = saved?.id ?? 'new-mark'
  // Sent twice, a new mark is stored once.
  const [id] = useState(newId)
  const draft = useDraft('marks', draftId)
  const { resumed: kept, keep, drop } = draft
  const [base, setBase] = useState(kept?.baseRevision ?? saved?.revision ?? 1)
  const { control, reset, setValue, handleSubmit } = useForm<z.input<typeof markSchema>, unknown, Mark>({
    resolver: zodResolver(markSchema),
    defaultValues: kept?.content ?? first,
  })
  const mark = useWatch({ control }) as Mark
  const [touched, setTouched] = useState(kept !== undefined)
  const [complaint, setComplaint] = useState<string>()
  useEffect(() => {
    if (touched) keep(base, mark)
  }, [touched, keep, base, mark])
  const change = (next: Partial<Mark>) => {
    setTouched(true)
    setComplaint(undefined)
    for (const field of Object.keys(next) as (keyof Mark)[]) setValue(field, next[field])
  }
  const forget = () => {
    drop()
    void client.invalidateQueries({ queryKey: marksQuery.queryKey })
  }
  const save = useMutation({
    mutationFn: async ({ content, onto }: { content: Mark; onto: number }) =>
      saved ? saveDocument('marks', saved.id, onto, content) : { saved: await createDocument('marks', content, id) },
    onSuccess: (result) => {
      if ('stale' in result) return
      forget()
      toast('The mark is saved.')
      void navigate('/water/marks')
    },
  })
  const theirs = save.data && 'stale' in save.data ? save.data.stale : undefined
  const saveOnto = (onto: number) => {
    const faulty = form.current?.querySelector<HTMLElement>('[aria-invalid=true]')
    if (faulty) {
      faulty.focus()
      return setComplaint('Something marked does not read: put it right first. Nothing was saved.')
    }
    void handleSubmit(
      (content) => save.mutate({ content, onto }),
      (errors) => {
        const [[field, error] = []] = Object.entries(errors)
        setComplaint(`${FIELD_WORDS[field ?? ''] ?? 'The mark'} ${messageIn(error)}. Nothing was saved.`)
      },
    )()
  }
  return {
    form,
    mark,
    change,
    complaint,
    /** What is shown was left unsaved earlier. */
    resumed: kept !== undefined && touched,
    draft,
    takeUp: (taken: Draft<Mark>) => {
      reset(taken.content)
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
      reset(theirs.content)
      setBase(theirs.revision)
      save.reset()
    },
  }
}

/** The first message of a field’s error, or of a row of its table. */
function messageIn(error: unknown): string {
  if (typeof error !== 'object' || error === null) return 'is not right'
  if ('message' in error && typeof error.message === 'string' && error.message !== '') return error.message
  const inner = Object.values(error).find((each) => typeof each === 'object' && each !== null && !(each instanceof Node))
  return messageIn(inner)
}
