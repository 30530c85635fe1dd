import { useEffect, useMemo, useReducer, useState } from 'react'
import { sameJson } from '../../../core/documents/sameJson.ts'
import type { TraceContent } from '../../../shared/traceContent.ts'
import type { SavedTrace } from '../../api/documents.ts'
import type { Draft } from '../../documents/draftKeeper.ts'
import { type DraftState, useDraft } from '../../documents/useDraft.ts'
import { useSave } from '../../documents/useSave.ts'
import { useStableCallback } from '../../ui/useStableCallback.ts'
import { type BenchEdits, benchEdits } from './benchEdits.ts'
import { type History, historyReducer, startHistory } from './history.ts'

/** The open trace; its functions stay the same while its values change. */
export type Bench = BenchEdits & {
  content: TraceContent
  baseRevision: number
  dirty: boolean
  /** Unsaved work as the browser keeps it. */
  draft: DraftState<'traces'>
  /** Unsaved work of an earlier visit was taken up. */
  resumed: boolean
  canUndo: boolean
  canRedo: boolean
  /** What is current on the server, where a save was refused because it was made from an older revision. */
  stale: SavedTrace | undefined
  saving: boolean
  saveError: Error | null
  savedAt: string
  save: () => void
  /** Takes the server's revision; what was here is one undo away. */
  takeTheirs: () => void
  /** Puts what is here on top of the server's revision, which stays in the history. */
  saveOverTheirs: () => void
  dismissStale: () => void
  /** Goes on with unsaved work that another page left; one undo goes back. */
  takeUp: (taken: Draft<TraceContent>) => void
}

type Start = { history: History<TraceContent>; baseRevision: number; resumed: boolean }

function begin(saved: SavedTrace, draft: Draft<TraceContent> | undefined): Start {
  if (!draft || sameJson(draft.content, saved.content))
    return { history: startHistory(saved.content), baseRevision: saved.revision, resumed: false }
  return { history: startHistory(draft.content, [saved.content]), baseRevision: draft.baseRevision, resumed: true }
}

/** The open trace: edits with undo, a draft kept in the browser, and saving with the stale case. */
export function useBench(saved: SavedTrace): Bench {
  const draft = useDraft('traces', saved.id)
  const [start] = useState(() => begin(saved, draft.resumed))
  const [history, dispatch] = useReducer(historyReducer<TraceContent>, start.history)
  const [baseRevision, setBaseRevision] = useState(start.baseRevision)
  const [clean, setClean] = useState(saved)
  const content = history.present
  const dirty = useMemo(() => content !== clean.content && !sameJson(content, clean.content), [content, clean])

  const { keep, drop } = draft
  useEffect(() => {
    if (dirty) keep(baseRevision, content)
    else drop()
  }, [dirty, keep, drop, baseRevision, content])

  const {
    save: saveOnto,
    isSaving,
    error,
    conflict: stale,
    dismiss,
  } = useSave({
    kind: 'traces',
    saved,
    onSaved: (now) => {
      setBaseRevision(now.revision)
      setClean(now)
    },
  })

  const edits = useMemo(() => benchEdits(dispatch), [])
  const save = useStableCallback(() => saveOnto({ onto: baseRevision, content }))
  const saveOverTheirs = useStableCallback(() => stale && saveOnto({ onto: stale.revision, content }))
  const dismissStale = useStableCallback(dismiss)
  const takeTheirs = useStableCallback(() => {
    if (!stale) return
    edits.bringBack(stale.content)
    setBaseRevision(stale.revision)
    setClean(stale)
    dismiss()
  })
  const takeUp = useStableCallback((taken: Draft<TraceContent>) => {
    edits.bringBack(taken.content)
    setBaseRevision(taken.baseRevision)
  })

  const { length: undoable } = history.past
  const { length: redoable } = history.future
  return useMemo(
    () => ({
      ...edits,
      content,
      baseRevision,
      dirty,
      draft,
      resumed: start.resumed,
      canUndo: undoable > 0,
      canRedo: redoable > 0,
      stale,
      saving: isSaving,
      saveError: error,
      savedAt: clean.savedAt,
      save,
      saveOverTheirs,
      dismissStale,
      takeTheirs,
      takeUp,
    }),
    [
      edits,
      content,
      baseRevision,
      dirty,
      draft,
      start.resumed,
      undoable,
      redoable,
      stale,
      isSaving,
      error,
      clean.savedAt,
      save,
      saveOverTheirs,
      dismissStale,
      takeTheirs,
      takeUp,
    ],
  )
}
