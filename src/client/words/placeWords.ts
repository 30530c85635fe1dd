import { lineById, pieceById } from '../../core/documents/pieces.ts'
import type { Trace } from '../../core/documents/trace.ts'
import { OUTFIT } from '../../core/documents/vocabulary.ts'
import type { Place } from '../../core/edit/places.ts'
import { pieceName, withArticle } from '../../core/setup/names.ts'

/** Where a part would go, as a person would say it: “between the leader and the swivel”. */
export function placeWords(place: Place, trace: Trace): string {
  const name = (id: string) => (id === OUTFIT ? 'your main line' : theName(trace, id))
  if (place.at === 'along') {
    const { above, below } = place
    if (above !== undefined && below !== undefined) return `on ${name(place.line)}, between ${name(above)} and ${name(below)}`
    if (below !== undefined) return `on ${name(place.line)}, above ${name(below)}`
    return above === undefined ? `along ${name(place.line)}` : `on ${name(place.line)}, below ${name(above)}`
  }
  if (place.takes) return `between ${name(place.of)} and ${name(place.takes)}`
  if (place.end === 'near') return `at the near end of ${name(place.of)}`
  const hangs = place.of !== OUTFIT && !lineById(trace, place.of)
  return `${hangs ? 'hanging from' : 'at the end of'} ${name(place.of)}`
}

/** A piece with its article. */
export function theName(trace: Trace, id: string): string {
  return withArticle(pieceName(pieceById(trace, id) ?? { id }))
}
