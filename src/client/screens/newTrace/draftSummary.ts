import { useMemo } from 'react'
import { familyName } from '../../../core/catalogue/familyIds.ts'
import { isLine } from '../../../core/documents/pieces.ts'
import type { SoundDraft } from '../../../core/drafting/soundDraft.ts'
import { toHookM } from '../../../core/families/draft.ts'
import type { Family } from '../../../core/families/family.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { useShow } from '../../settings/preferences.tsx'
import { pieceSpec } from '../../words/names.ts'

/** What a draft comes down to, by what it is called. */
export type DraftSummary = ReadonlyMap<string, string>
export type DraftChange = { what: string; from: string | undefined; to: string | undefined }

/** The parts of a draft that choices decide, as they are shown. */
export function useDraftSummary(draft: SoundDraft | undefined, family: Family | undefined): DraftSummary | undefined {
  const catalogue = useCatalogue()
  const show = useShow()
  return useMemo(() => {
    if (!draft || !family) return undefined
    const { trace, conditions } = draft
    const hook = trace.pieces.find(({ role }) => role === 'hook')
    const bait = trace.pieces.find(({ role }) => role === 'bait')
    const sinker = trace.pieces.find(({ role }) => role === 'sinker')
    const leader = trace.pieces.find((piece) => isLine(piece) && piece.role === 'leader')
    const wire = trace.pieces.find((piece) => isLine(piece) && piece.role === 'biteTrace')
    const rows: [string, string | undefined][] = [
      ['family', familyName(family.id)],
      ['bait', bait && pieceSpec(catalogue, bait, show)],
      ['hook', hook && pieceSpec(catalogue, hook, show)],
      ['leader', leader && pieceSpec(catalogue, leader, show)],
      ['leader to the hook', show.computed('length', toHookM(trace))],
      ['bite trace', wire && pieceSpec(catalogue, wire, show)],
      ['sinker', sinker && pieceSpec(catalogue, sinker, show)],
      ['drag', show.entered('strength', conditions.dragN)],
      ['landed', catalogue.landings[conditions.landing].name],
    ]
    return new Map(rows.filter((row): row is [string, string] => row[1] !== undefined))
  }, [draft, family, catalogue, show])
}

/** What is otherwise than before. */
export function draftChanges(before: DraftSummary | undefined, now: DraftSummary | undefined): DraftChange[] {
  if (!before || !now) return []
  return [...new Set([...before.keys(), ...now.keys()])].flatMap((what) => {
    const [from, to] = [before.get(what), now.get(what)]
    return from === to ? [] : [{ what, from, to }]
  })
}
