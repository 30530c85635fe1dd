import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useEffect, useRef, useState } from 'react'
import { useNavigate } from 'react-router'
import { toast } from 'sonner'
import { type Mark, markSchema } from '../../../core/mark/mark.ts'
import { dropDraft, keepDraft, readDraft } from '../../api/drafts.ts'
import { createMark, marksQuery, type SavedMark, saveMark } from '../../api/water.ts'

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
  const [newId] = useState(() => crypto.randomUUID())
  const [kept] = useState(() => readDraft(markSchema, draftId))
  const [base, setBase] = useState(kept?.baseRevision ?? saved?.revision ?? 1)
  const [mark, setMark] = useState<Mark>(kept?.content ?? first)
  const [touched, setTouched] = useState(kept !== undefined)
  const [complaint, setComplaint] = useState<string>()
  const keptText = useRef<string>(undefined)
  useEffect(() => {
    if (touched) keptText.current = keepDraft(draftId, base, mark)
  }, [touched, draftId, base, mark])
  const change = (next: Partial<Mark>) => {
    setTouched(true)
    setComplaint(undefined)
    setMark((old) => ({ ...old, ...next }))
  }
  const forget = () => {
    if (keptText.current) dropDraft(draftId, keptText.current)
    client.invalidateQueries({ queryKey: marksQuery.queryKey })
  }
  const save = useMutation({
    mutationFn: async ({ content, onto }: { content: Mark; onto: number }) =>
      saved ? saveMark(saved.id, onto, content) : { saved: await createMark(newId, content) },
    onSuccess: (result) => {
      if ('stale' in result) return
      forget()
      toast('The mark is saved.')
      navigate('/water/marks')
    },
  })
  const theirs = save.data && 'stale' in save.data ? save.data.stale : undefined
  const saveOnto = (onto: number) => {
    const faulty = form.current?.querySelector<HTMLElement>('[aria-invalid=true]')
    if (faulty) {
      faulty.focus()
      return setComplaint('Something marked does not read: mend it first. Nothing was saved.')
    }
    const parsed = markSchema.safeParse(mark)
    if (!parsed.success) {
      const issue = parsed.error.issues[0]!
      return setComplaint(`${FIELD_WORDS[String(issue.path[0])] ?? 'The mark'} ${issue.message}. Nothing was saved.`)
    }
    save.mutate({ content: parsed.data, onto })
  }
  return {
    form,
    mark,
    change,
    complaint,
    /** What is shown was left unsaved earlier. */
    resumed: kept !== undefined && touched,
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
      setMark(theirs.content)
      setBase(theirs.revision)
      save.reset()
    },
  }
}
