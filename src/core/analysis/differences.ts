import type { Conditions } from '../documents/conditions.ts'
import type { Moving } from '../documents/moving.ts'
import { sameJson } from '../documents/sameJson.ts'
import type { Piece, Trace } from '../documents/trace.ts'

/** One thing that differs between two traces; values are as in the documents (SI, ids). */
export type Difference =
  | { kind: 'added' | 'removed'; id: string }
  | { kind: 'changed'; id: string; field: string; before: unknown; after: unknown }
  /** Of the trace as a whole, or of the conditions it is judged under. */
  | { kind: 'whole'; field: string; before: unknown; after: unknown }

const WHOLE = ['name', 'notes', 'tags', 'weakLink', 'fuse'] as const

/** What differs from one trace to another: as a whole, then piece by piece in the order of the later one. */
export function differences(before: Trace, after: Trace): Difference[] {
  const old = new Map(before.pieces.map((piece) => [piece.id, piece]))
  const kept = new Set(after.pieces.map(({ id }) => id))
  return [
    ...WHOLE.flatMap((field) => whole(field, before[field], after[field])),
    ...after.pieces.flatMap((piece): Difference[] => {
      const was = old.get(piece.id)
      return was ? changedFields(was, piece) : [{ kind: 'added', id: piece.id }]
    }),
    ...before.pieces.filter(({ id }) => !kept.has(id)).map(({ id }): Difference => ({ kind: 'removed', id })),
  ]
}

/** What differs from one set of conditions to another. */
export function conditionDifferences(before: Conditions, after: Conditions): Difference[] {
  const { water: was, moving: moved, ...plain } = before
  const { water: is, moving, ...now } = after
  const rest = [...fieldsThatDiffer(plain, now), ...wayDifferences(moved, moving)]
  if (!was || !is) return [...rest, ...whole('water', was !== undefined, is !== undefined)]
  return [...rest, ...fieldsThatDiffer(was, is)]
}

/** Of two ways of moving only the ways are told, of one its fields. */
function wayDifferences(was: Moving | undefined, is: Moving | undefined): Difference[] {
  if (was === undefined || is === undefined || was.way !== is.way) return whole('moving', was?.way, is?.way)
  return fieldsThatDiffer(was, is)
}

function fieldsThatDiffer<Part extends object>(was: Part, is: Part): Difference[] {
  const fields = [...new Set([...Object.keys(was), ...Object.keys(is)])] as (keyof Part & string)[]
  return fields.flatMap((field) => whole(field, was[field], is[field]))
}

function whole(field: string, before: unknown, after: unknown): Difference[] {
  return sameJson(before, after) ? [] : [{ kind: 'whole', field, before, after }]
}

function changedFields(before: Piece, after: Piece): Difference[] {
  const [was, is] = [fieldsOf(before), fieldsOf(after)]
  const names = [...new Set([...Object.keys(was), ...Object.keys(is)])]
  return names
    .filter((field) => !sameJson(was[field], is[field]))
    .map((field) => ({ kind: 'changed', id: after.id, field, before: was[field], after: is[field] }))
}

/** A piece's own fields with its joint's beside them; where it hangs counts as one field. */
function fieldsOf(piece: Piece): Record<string, unknown> {
  const { attach, id: _id, ...own } = piece
  const { how, ...rest } = attach
  const joint = 'joint' in rest ? rest.joint : {}
  const place = Object.fromEntries(
    Object.entries(rest)
      .filter(([key]) => key !== 'joint')
      .sort(([a], [b]) => a.localeCompare(b)),
  )
  return { ...own, ...joint, attach: [how, place] }
}
