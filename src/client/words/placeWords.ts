import { pieceName, withArticle } from '../../core/trace/names.ts'
import type { Place } from '../../core/trace/redraw/places.ts'
import { isLine, OUTFIT, type Trace } from '../../core/trace/schema.ts'

/** Where a part would go, as a person would say it: “between the leader and the swivel”. */
export function placeWords(place: Place, trace: Trace): string {
  const name = (id: string) => (id === OUTFIT ? 'the outfit’s line' : theName(trace, id))
  if (place.at === 'along') return `along ${name(place.line)}`
  if (place.takes) return `between ${name(place.of)} and ${name(place.takes)}`
  if (place.end === 'near') return `at the near end of ${name(place.of)}`
  const hangs = place.of !== OUTFIT && !isLine(trace.pieces.find(({ id }) => id === place.of))
  return `${hangs ? 'hanging from' : 'at the end of'} ${name(place.of)}`
}

/** A piece with its article. */
export function theName(trace: Trace, id: string): string {
  const piece = trace.pieces.find((each) => each.id === id)
  return withArticle(piece ? pieceName(piece) : id.replaceAll('-', ' '))
}
