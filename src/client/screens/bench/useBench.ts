import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useCallback, useEffect, useMemo, useReducer, useState } from 'react'
import type { Conditions } from '../../../core/documents/conditions.ts'
import type { Mark } from '../../../core/documents/mark.ts'
import { LEAST_WATER_M } from '../../../core/documents/moving.ts'
import { sameJson } from '../../../core/documents/sameJson.ts'
import type { Trace } from '../../../core/documents/trace.ts'
import { fishedFor } from '../../../core/setup/fishedFor.ts'
import { springWater } from '../../../core/setup/springWater.ts'
import type { TraceContent } from '../../../shared/traceContent.ts'
import type { SavedFish, SavedMark } from '../../api/documents.ts'
import { documentQuery, type SavedTrace, saveDocument } from '../../api/documents.ts'
import type { Draft } from '../../drafts/draftKeeper.ts'
import { type DraftState, useDraft } from '../../drafts/useDraft.ts'
import { type History, type HistoryAction, historyReducer, startHistory } from './history.ts'

export type Bench = {
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
  editTrace: (change: (trace: Trace) => Trace, tag?: string) => void
  editConditions: (change: Partial<Conditions>, tag?: string) => void
  /** The mark the trace is for; its water at springs comes with it, or, of what is towed or wound in, its depth. */
  chooseMark: (mark: SavedMark | undefined) => void
  /** The fish it is for: a usual one is landed, and its mouth asked about. */
  chooseFish: (fish: SavedFish | undefined) => void
  /** Puts what a remedy made in place, as one step. */
  apply: (made: { trace: Trace; conditions: Conditions }) => void
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
  /** Goes on with unsaved work that another page left; one undo goes back. */
  takeUp: (taken: Draft<TraceContent>) => void
  /** Lets go of the unsaved work, when it was kept elsewhere. */
  forget: () => void
}

type Start = { history: History<TraceContent>; baseRevision: number; resumed: boolean }

function begin(saved: SavedTrace, draft: Draft<TraceContent> | undefined): Start {
  if (!draft || sameJson(draft.content, saved.content))
    return { history: startHistory(saved.content), baseRevision: saved.revision, resumed: false }
  return { history: startHistory(draft.content, [saved.content]), baseRevision: draft.baseRevision, resumed: true }
}

/** The conditions at a mark: of what moves through the water its depth counts, of all else its water at springs. */
function atMark(conditions: Conditions, mark: Mark): Conditions {
  const { moving, water } = conditions
  const depth = moving && moving.way !== 'kite' ? { moving: { ...moving, waterM: Math.max(LEAST_WATER_M, mark.depthM) } } : {}
  return { ...conditions, ...depth, ...(water || !moving ? { water: springWater(mark) } : {}) }
}

/** The open trace: edits with undo, a draft kept in the browser, and saving with the stale case. */
export function useBench(saved: SavedTrace): Bench {
  const draft = useDraft('traces', saved.id)
  const [start] = useState(() => begin(saved, draft.resumed))
  const [history, dispatch] = useReducer(historyReducer<TraceContent>, start.history)
  const [baseRevision, setBaseRevision] = useState(start.baseRevision)
  const [clean, setClean] = useState(saved)
  const [stale, setStale] = useState<SavedTrace>()
  const client = useQueryClient()
  const content = history.present
  const dirty = content !== clean.content && !sameJson(content, clean.content)

  const { keep, drop } = draft
  useEffect(() => {
    if (dirty) keep(baseRevision, content)
    else drop()
  }, [dirty, keep, drop, baseRevision, content])

  const { mutate, isPending, error } = useMutation({
    mutationFn: (onto: { revision: number; content: TraceContent }) =>
      saveDocument('traces', saved.id, onto.revision, onto.content),
    onSuccess: (result) => {
      if ('stale' in result) return setStale(result.stale)
      setStale(undefined)
      setBaseRevision(result.saved.revision)
      setClean(result.saved)
      client.setQueryData(documentQuery('traces', saved.id).queryKey, result.saved)
      return client.invalidateQueries({ queryKey: ['traces', 'heads'] })
    },
  })

  const edit = useCallback((next: TraceContent, tag?: string) => dispatch({ type: 'edit', next, tag }), [])
  const act = useCallback((type: Exclude<HistoryAction<TraceContent>['type'], 'edit'>) => dispatch({ type }), [])

  return useMemo(
    () => ({
      content,
      baseRevision,
      dirty,
      draft,
      resumed: start.resumed,
      canUndo: history.past.length > 0,
      canRedo: history.future.length > 0,
      stale,
      saving: isPending,
      saveError: error,
      savedAt: clean.savedAt,
      editTrace: (change, tag) => edit({ ...content, trace: change(content.trace) }, tag),
      editConditions: (change, tag) => edit({ ...content, conditions: { ...content.conditions, ...change } }, tag),
      apply: (made) => edit({ ...content, ...made }),
      chooseOutfit: (outfitId) => edit({ ...content, outfitId }),
      chooseMark: (mark) =>
        edit({
          ...content,
          markId: mark?.id,
          conditions: mark ? atMark(content.conditions, mark.content) : content.conditions,
        }),
      chooseFish: (fish) =>
        edit({
          ...content,
          fishId: fish?.id,
          conditions: {
            ...content.conditions,
            ...(fish ? fishedFor(fish.content) : { mouthWidthM: undefined, target: undefined }),
          },
        }),
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
      takeUp: (taken) => {
        edit(taken.content)
        setBaseRevision(taken.baseRevision)
      },
      forget: drop,
    }),
    [
      content,
      baseRevision,
      dirty,
      draft,
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
      drop,
    ],
  )
}
