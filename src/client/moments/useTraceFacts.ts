import { useQuery } from '@tanstack/react-query'
import type { Outfit } from '../../core/documents/outfit.ts'
import type { PreparedSetup } from '../../core/setup/prepareSetup.ts'
import type { TraceContent } from '../../shared/traceContent.ts'
import { fishQuery, marksQuery } from '../api/documents.ts'
import { useCatalogue } from '../catalogue/useCatalogue.ts'
import { useShow } from '../settings/preferences.tsx'
import { castName } from '../words/castWords.ts'
import { pieceSpec } from '../words/names.ts'
import { madeForWords } from '../words/purposeWords.ts'
import type { Evaluated } from './useEvaluation.ts'

type Prepared = { ok: true; value: PreparedSetup } | Extract<Evaluated, { ok: false }>

/** What goes to the water with a trace: what it is for, its bait and the drag to set; a name and what is said of it. */
export function useTraceFacts(
  { trace, conditions, markId, fishId }: TraceContent,
  outfit: Outfit,
  prepared: Prepared,
): [name: string, value: string][] {
  const catalogue = useCatalogue()
  const show = useShow()
  const mark = useQuery(marksQuery).data?.find(({ id }) => id === markId)?.content.name
  const fish = useQuery(fishQuery).data?.find(({ id }) => id === fishId)?.content.name
  const baits = trace.pieces.filter(({ role }) => role === 'bait').map((bait) => pieceSpec(catalogue, bait, show))
  const { dragN } = prepared.ok ? prepared.value.conditions : conditions
  const drag = conditions.dragAssumed ? show.computed('strength', dragN) : show.entered('strength', dragN)
  const facts: [string, string | undefined][] = [
    ['outfit', outfit.name],
    ['fish', fish],
    ['mark', mark],
    ['for', madeForWords(conditions).replace(/^for /, '') || undefined],
    ['cast', castName(catalogue, conditions.castStyle)],
    ['bait', [...new Set(baits)].join(', ') || undefined],
    ['drag', `${drag}: pull with a scale ${DRAG_PULL[conditions.dragMeasuredAt]} until the spool turns`],
    ['notes', trace.notes?.trim() || undefined],
  ]
  return facts.filter((fact): fact is [string, string] => fact[1] !== undefined)
}

const DRAG_PULL = { reel: 'straight off the reel', tip: 'through the rod, over its tip' }
