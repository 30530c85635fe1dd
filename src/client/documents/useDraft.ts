import { useEffect, useMemo, useState } from 'react'
import { useBlocker } from 'react-router'
import type { ContentOf } from '../../shared/documentKinds.ts'
import type { DocumentKind } from '../../shared/kindNames.ts'
import { type Draft, DraftKeeper, type OtherDraft } from './draftKeeper.ts'

export type DraftState<K extends DocumentKind> = {
  /** What was left unsaved by an earlier page and can be gone on with. */
  resumed: Draft<ContentOf<K>> | undefined
  /** There is unsaved work that the browser could not keep: its storage is full or off. */
  notStored: boolean
  others: readonly OtherDraft[]
  look: (other: OtherDraft) => Draft<ContentOf<K>> | { message: string }
  discard: (other: OtherDraft) => void
  keep: (baseRevision: number, content: object) => void
  drop: () => void
}

/** Keeps unsaved work of one document while this page is open on it; where it cannot, every way out asks. */
export function useDraft<K extends DocumentKind>(kind: K, id: string): DraftState<K> {
  const [keeper] = useState(() => new DraftKeeper(kind, id))
  const [notStored, setNotStored] = useState(false)
  const [others, setOthers] = useState(() => keeper.others())
  const [actions] = useState(() => {
    const look = () => setOthers(keeper.others())
    /** Drawn anew only where it is news: this is done at every keystroke. */
    const telling = (change: () => void) => {
      const was = keeper.notStored
      change()
      if (keeper.notStored !== was) setNotStored(keeper.notStored)
    }
    return {
      look: (other: OtherDraft) => keeper.look(other),
      discard: (other: OtherDraft) => {
        keeper.discard(other.key)
        look()
      },
      keep: (baseRevision: number, content: object) => telling(() => keeper.keep(baseRevision, content)),
      drop: () => telling(() => keeper.drop()),
      refresh: look,
      // Asked of the keeper: what leaves right after a save goes before the page has drawn it.
      isKeptFromLeaving: () => keeper.notStored && !window.confirm('You would lose your unsaved changes. Leave anyway?'),
    }
  })
  useEffect(() => {
    const [release, claim] = [() => keeper.release(), () => keeper.claim()]
    claim()
    window.addEventListener('pagehide', release)
    window.addEventListener('pageshow', claim)
    window.addEventListener('storage', actions.refresh)
    return () => {
      release()
      window.removeEventListener('pagehide', release)
      window.removeEventListener('pageshow', claim)
      window.removeEventListener('storage', actions.refresh)
    }
  }, [keeper, actions])
  useBlocker(actions.isKeptFromLeaving)
  useEffect(() => {
    if (!notStored) return
    const warn = (event: BeforeUnloadEvent) => event.preventDefault()
    window.addEventListener('beforeunload', warn)
    return () => window.removeEventListener('beforeunload', warn)
  }, [notStored])
  return useMemo(() => ({ resumed: keeper.resumed, notStored, others, ...actions }), [keeper, notStored, others, actions])
}
