import type { Conditions } from '../documents/conditions.ts'
import type { FieldName } from '../documents/fieldInfo.ts'
import { sameJson } from '../documents/sameJson.ts'
import type { Piece, Trace } from '../documents/trace.ts'

/** One thing that differs between two versions of a document; values are as in the documents (SI, ids). */
export type Difference =
  | { kind: 'added' | 'removed'; id: string }
  /** Of one piece or release clip. */
  | { kind: 'changed'; id: string; field: FieldName; before: unknown; after: unknown }
  /** Of the trace as a whole, its fish, or the conditions it is judged under. */
  | { kind: 'whole'; field: FieldName; before: unknown; after: unknown }

/** The saved content of a trace. */
type SavedTrace = { trace: Trace; conditions: Conditions }

const isTrace = (content: object): content is SavedTrace => 'trace' in content && 'conditions' in content

/** Every difference between two versions of a document. There is none only if their contents are the same JSON. */
export function documentDifferences(before: object, after: object): Difference[] {
  if (!isTrace(before) || !isTrace(after)) return recordDifferences(before, after)
  const { trace: _was, conditions: _wasUnder, ...refs } = before
  const { trace: _is, conditions: _isUnder, ...newRefs } = after
  return [
    ...differences(before.trace, after.trace),
    ...fieldsThatDiffer(refs, newRefs),
    ...conditionDifferences(before.conditions, after.conditions),
  ]
}

/** Of a document that is no trace: its fields, those of the objects in it, and the lines wound on a reel by their roles. */
function recordDifferences(before: object, after: object): Difference[] {
  return fieldsThatDiffer(before, after).flatMap((each) => {
    if (each.kind !== 'whole') return [each]
    const { field, before: was, after: is } = each
    if (isLines(was) && isLines(is)) return partDifferences(was.map(flatLine), is.map(flatLine))
    return isRecord(was) && isRecord(is) ? changedIn(field, was, is) : [each]
  })
}

const isRecord = (value: unknown): value is object => typeof value === 'object' && value !== null && !Array.isArray(value)

type Line = { role: string; joint?: object }
const isLines = (value: unknown): value is Line[] =>
  Array.isArray(value) && value.every((each) => isRecord(each) && 'role' in each)
const flatLine = ({ joint, ...line }: Line): Part => ({ ...line, ...joint, id: line.role })

const changedIn = (id: string, before: object, after: object): Difference[] =>
  fieldsThatDiffer(before, after).flatMap((each) => ('field' in each ? [{ ...each, kind: 'changed', id }] : []))

/** The differences between two traces: of the whole, then piece by piece in the order of the later one, then release clips. */
export function differences(before: Trace, after: Trace): Difference[] {
  const { pieces, releaseClips = [], formatVersion: _old, ...was } = before
  const { pieces: newPieces, releaseClips: newClips = [], formatVersion: _new, ...is } = after
  return [
    ...fieldsThatDiffer(was, is),
    ...partDifferences(pieces.map(flatPiece), newPieces.map(flatPiece)),
    ...orderDifference(pieces, newPieces),
    ...partDifferences(releaseClips, newClips),
  ]
}

/** What differs from one set of conditions to another. */
export function conditionDifferences(before: Conditions, after: Conditions): Difference[] {
  const { water, moving, target, formatVersion: _old, ...was } = before
  const { water: newWater, moving: newMoving, target: newTarget, formatVersion: _new, ...is } = after
  return [
    ...partOfConditions('target', target, newTarget, target?.name === newTarget?.name),
    ...fieldsThatDiffer(was, is),
    ...partOfConditions('moving', moving, newMoving, moving?.way === newMoving?.way),
    ...partOfConditions('water', water, newWater, true),
  ]
}

/** Field by field if both exist and are `alike`, else as one difference. */
function partOfConditions<Part extends object>(
  field: FieldName,
  before: Part | undefined,
  after: Part | undefined,
  alike: boolean,
): Difference[] {
  return before && after && alike ? fieldsThatDiffer(before, after) : whole(field, before, after)
}

const whole = (field: FieldName, before: unknown, after: unknown): Difference[] =>
  sameJson(before, after) ? [] : [{ kind: 'whole', field, before, after }]

function fieldsThatDiffer(before: object, after: object): Difference[] {
  const [was, is] = [before, after] as Record<string, unknown>[]
  const fields = [...new Set([...Object.keys(was!), ...Object.keys(is!)])].filter((key) => key !== 'formatVersion') as FieldName[]
  return fields.flatMap((field) => whole(field, was![field], is![field]))
}

type Part = { id: string; [field: string]: unknown }

function partDifferences(before: readonly Part[], after: readonly Part[]): Difference[] {
  const old = new Map(before.map((part) => [part.id, part]))
  const kept = new Set(after.map(({ id }) => id))
  return [
    ...after.flatMap((part): Difference[] => {
      const was = old.get(part.id)
      if (!was) return [{ kind: 'added', id: part.id }]
      return changedIn(part.id, was, part)
    }),
    ...before.filter(({ id }) => !kept.has(id)).map(({ id }): Difference => ({ kind: 'removed', id })),
  ]
}

/** The order of the pieces that both have: it decides which end the drawing follows. */
function orderDifference(before: readonly Piece[], after: readonly Piece[]): Difference[] {
  const [old, now] = [before, after].map((pieces) => new Set(pieces.map(({ id }) => id)))
  const orderOf = (pieces: readonly Piece[], others: Set<string>) => pieces.map(({ id }) => id).filter((id) => others.has(id))
  return whole('pieces', orderOf(before, now!), orderOf(after, old!))
}

/** A piece with the fields of its joint merged in; how it hangs is one field. */
function flatPiece(piece: Piece): Part {
  const { attach, ...own } = piece
  const { joint = {}, ...place } = { joint: undefined, ...attach }
  return { ...own, ...joint, attach: place }
}
