import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useCallback, useEffect, useMemo, useReducer, useRef, useState } from 'react'
import type { Conditions } from '../../../core/trace/conditions.ts'
import type { Trace } from '../../../core/trace/schema.ts'
import { type TraceContent, traceContent } from '../../../shared/traces.ts'
import { type SavedTrace, saveTrace, traceQuery } from '../../api/documents.ts'
import { dropDraft, keepDraft, readDraft } from '../../api/drafts.ts'
import { type History, type HistoryAction, historyReducer, startHistory } from './history.ts'

export type Bench = {
  content: TraceContent
  baseRevision: number
  dirty: boolean
  /** Unsaved work of an earlier visit was taken up. */
  resumed: boolean
  canUndo: boolean
  canRedo: boolean
  /** What is current on the server, where a save was refused because it was made from an older revision. */
  stale: SavedTrace | undefined
  saving: boolean
  saveError: Error | null
  savedAt: string
  editTrace: (change: (trace: Trace) => Trace, tag?: string) => void
  editConditions: (change: Partial<Conditions>, tag?: string) => void
  /** Puts a mended trace and its conditions in place, as one step. */
  mend: (mended: { trace: Trace; conditions: Conditions }) => void
  chooseOutfit: (outfitId: string) => void
  /** Puts an earlier content in place of what is here; one undo goes back. */
  bringBack: (content: TraceContent) => void
  undo: () => void
  redo: () => void
  settle: () => void
  save: () => void
  /** Takes the server's revision; what was here is one undo away. */
  takeTheirs: () => void
  /** Puts what is here on top of the server's revision, which stays in the history. */
  saveOverTheirs: () => void
  dismissStale: () => void
  /** Lets go of the unsaved work, when it was kept elsewhere. */
  forget: () => void
}

type Start = { history: History<TraceContent>; baseRevision: number; resumed: boolean }

function begin(saved: SavedTrace): Start {
  const draft = readDraft(traceContent, saved.id)
  if (!draft || sameContent(draft.content, saved.content))
    return { history: startHistory(saved.content), baseRevision: saved.revision, resumed: false }
  return { history: startHistory(draft.content, [saved.content]), baseRevision: draft.baseRevision, resumed: true }
}

/** The open trace: edits with undo, a draft kept in the browser, and saving with the stale case. */
export function useBench(saved: SavedTrace): Bench {
  const [start] = useState(() => begin(saved))
  const [history, dispatch] = useReducer(historyReducer<TraceContent>, start.history)
  const [baseRevision, setBaseRevision] = useState(start.baseRevision)
  const [clean, setClean] = useState(saved)
  const [stale, setStale] = useState<SavedTrace>()
  const client = useQueryClient()
  const content = history.present
  const dirty = content !== clean.content && !sameContent(content, clean.content)

  const kept = useRef<string>(undefined)
  useEffect(() => {
    if (dirty) kept.current = keepDraft(saved.id, baseRevision, content)
    else if (kept.current !== undefined) dropDraft(saved.id, kept.current)
  }, [dirty, saved.id, baseRevision, content])

  const { mutate, isPending, error } = useMutation({
    mutationFn: (onto: { revision: number; content: TraceContent }) => saveTrace(saved.id, onto.revision, onto.content),
    onSuccess: (result) => {
      if ('stale' in result) return setStale(result.stale)
      setStale(undefined)
      setBaseRevision(result.saved.revision)
      setClean(result.saved)
      client.setQueryData(traceQuery(saved.id).queryKey, result.saved)
      return client.invalidateQueries({ queryKey: ['traces'] })
    },
  })

  const edit = useCallback((next: TraceContent, tag?: string) => dispatch({ type: 'edit', next, tag }), [])
  const act = useCallback((type: Exclude<HistoryAction<TraceContent>['type'], 'edit'>) => dispatch({ type }), [])

  return useMemo(
    () => ({
      content,
      baseRevision,
      dirty,
      resumed: start.resumed,
      canUndo: history.past.length > 0,
      canRedo: history.future.length > 0,
      stale,
      saving: isPending,
      saveError: error,
      savedAt: clean.savedAt,
      editTrace: (change, tag) => edit({ ...content, trace: change(content.trace) }, tag),
      editConditions: (change, tag) => edit({ ...content, conditions: { ...content.conditions, ...change } }, tag),
      mend: (mended) => edit({ ...content, ...mended }),
      chooseOutfit: (outfitId) => edit({ ...content, outfitId }),
      bringBack: (earlier) => edit(earlier),
      undo: () => act('undo'),
      redo: () => act('redo'),
      settle: () => act('settle'),
      save: () => mutate({ revision: baseRevision, content }),
      takeTheirs: () => {
        if (!stale) return
        edit(stale.content)
        setBaseRevision(stale.revision)
        setClean(stale)
        setStale(undefined)
      },
      saveOverTheirs: () => stale && mutate({ revision: stale.revision, content }),
      dismissStale: () => setStale(undefined),
      forget: () => {
        if (kept.current !== undefined) dropDraft(saved.id, kept.current)
      },
    }),
    [
      content,
      baseRevision,
      dirty,
      start.resumed,
      history.past.length,
      history.future.length,
      stale,
      isPending,
      error,
      clean.savedAt,
      edit,
      act,
      mutate,
      saved.id,
    ],
  )
}

/** Documents that came over the wire have their keys in another order. */
function sameContent(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false
  const [left, right] = [Object.entries(a), Object.entries(b)].map((entries) =>
    entries.filter(([, value]) => value !== undefined),
  )
  return left!.length === right!.length && left!.every(([key, value]) => sameContent(value, (b as Record<string, unknown>)[key]))
}
