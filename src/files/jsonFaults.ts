import { closest } from 'fastest-levenshtein'
import { createScanner, findNodeAtLocation, type Node, type ParseError, parseTree, printParseErrorCode } from 'jsonc-parser'
import type { z } from 'zod'
import { FIELD_INFO, type FieldName } from '../core/documents/fieldInfo.ts'
import { cutText } from '../core/documents/text.ts'
import { type LineFault, MAX_MESSAGE, refused } from './readCsv.ts'

type Path = readonly PropertyKey[]
/** A fault of a document in a file, by the schema or by what must hold between its parts. */
export type FaultAt = { path: Path; message: string } | z.core.$ZodIssue

/** What a value that is one of a list stands for, where its label alone would not say it. */
const KINDS: Record<string, string> = {
  role: 'a kind of part',
  type: 'a part',
  connection: 'a knot',
  pattern: 'a hook pattern',
  material: 'a material',
  how: 'a way of hanging',
}
/** Groups of fields, as a reader of a file would call them. */
const NAMES: Record<string, string> = { pieces: 'list of parts', attach: 'way of hanging', trace: 'trace' }
/** More deeply nested than any document that was ever exported. */
const MAX_DEPTH = 60
/** Whoever has more faults in a file reads no further either. */
const MAX_FAULTS = 100
/** A longer value is no slip of the pen: nothing is near it. */
const MAX_VALUE = 40

/** JSON with the place of everything in it, or in words why it is none. */
export function readJson(
  text: string,
): { ok: true; value: unknown; lineOf: (path: Path) => number | undefined } | { ok: false; faults: LineFault[] } {
  const lineAt = (offset: number) => text.slice(0, offset).split('\n').length
  if (depthOf(text) > MAX_DEPTH) return refused('The file is nested too deeply to be a trace')
  const errors: ParseError[] = []
  const root = parseTree(text, errors, { disallowComments: true, allowTrailingComma: false })
  const [first] = errors
  if (first || !root)
    return refused(`This is not JSON${first ? `: ${wordsOf(printParseErrorCode(first.error))}` : ''}`, lineAt(first?.offset ?? 0))
  const lineOf = (path: Path) => {
    const node = nearestNode(root, path)
    return node && lineAt(node.offset)
  }
  return { ok: true, value: JSON.parse(text), lineOf }
}

/** The node of a path, or of the part of it that is there. */
function nearestNode(root: Node, path: Path): Node | undefined {
  for (let length = path.length; length > 0; length -= 1) {
    const found = findNodeAtLocation(root, path.slice(0, length) as (string | number)[])
    if (found) return found.parent?.type === 'property' ? found.parent : found
  }
  return undefined
}

function depthOf(text: string): number {
  const scanner = createScanner(text, true)
  let depth = 0
  let most = 0
  while (scanner.getPosition() < text.length) {
    scanner.scan()
    // A text begins with its quote, so a bracket in it is none.
    const begins = text[scanner.getTokenOffset()]
    if (begins === '{' || begins === '[') depth += 1
    else if (begins === '}' || begins === ']') depth -= 1
    most = Math.max(most, depth)
  }
  return most
}

/** Faults as sentences, each with its line. */
export function faultsInWords(
  faults: readonly FaultAt[],
  value: unknown,
  lineOf: (path: Path) => number | undefined,
): LineFault[] {
  return faults.slice(0, MAX_FAULTS).map((fault) => {
    const line = lineOf(fault.path)
    const part = partAt(fault.path, value)
    const message = faultWords(fault, valueAt(fault.path, value))
    return { ...(line === undefined ? {} : { line }), message: cutText(part ? `${part}: ${message}` : message, MAX_MESSAGE) }
  })
}

function faultWords(fault: FaultAt, value: unknown): string {
  const label = labelOf(fault.path)
  if (!('code' in fault)) return fault.message
  const given = (typeof value === 'string' && value.length <= MAX_VALUE) || typeof value === 'number' ? `“${value}”` : undefined
  switch (fault.code) {
    case 'invalid_value':
    case 'invalid_union': {
      if (value === undefined) return `${label} is missing`
      const known = 'values' in fault ? fault.values.map(String) : optionsOf(fault)
      if (given === undefined || known.length === 0) return `${label} is not understood`
      const kind = KINDS[String(fault.path.at(-1))] ?? label
      return `this uses ${kind} called ${given}; the nearest is “${closest(String(value), known)}”`
    }
    case 'unrecognized_keys':
      return `${fault.keys.map((key) => `“${key}”`).join(' and ')} ${fault.keys.length > 1 ? 'are not fields that are' : 'is not a field that is'} known here`
    case 'invalid_type':
      if (value === undefined) return `${label} is missing`
      return fault.expected === 'int'
        ? `${label} must be a whole number`
        : `${label} must be ${TYPES[fault.expected] ?? 'something else'}`
    case 'too_small':
      return isOwn(fault.message) ? `${label} ${fault.message}` : `${label} is under ${fault.minimum}`
    case 'too_big':
      return isOwn(fault.message) ? `${label} ${fault.message}` : `${label} is over ${fault.maximum}`
    default:
      return isOwn(fault.message) ? `${label} ${fault.message}` : `${label} is not understood`
  }
}

const TYPES: Record<string, string> = {
  string: 'text',
  number: 'a number',
  boolean: 'true or false',
  array: 'a list',
  object: 'a group of fields',
}

/** Our schemas say what is wrong as the rest of a sentence, in small letters; the library’s own messages begin one. */
const isOwn = (message: string) => !/^[A-Z]/.test(message)

/** What a field that decides between forms may be. */
const optionsOf = (fault: z.core.$ZodIssue): string[] =>
  'options' in fault && Array.isArray(fault.options) ? fault.options.map(String) : []

function labelOf(path: Path): string {
  const field = path.findLast((key) => typeof key === 'string')
  if (field === undefined) return 'the file'
  const label = NAMES[String(field)] ?? FIELD_INFO[field as FieldName]?.label
  return `the ${label || spaced(String(field))}`
}

/** `strengthN` → strength, `releaseClips` → release clips. */
const spaced = (field: string) =>
  field.replace(/(N|M|Kg|Deg|MperS|Pa|M2|Rad)$/, '').replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`)

/** The part of a trace that a path leads into, by the name that it has in the file. */
function partAt(path: Path, value: unknown): string | undefined {
  const at = path.indexOf('pieces')
  if (at < 0 || typeof path[at + 1] !== 'number') return undefined
  const id = valueAt([...path.slice(0, at + 2), 'id'], value)
  return typeof id === 'string' ? id.replaceAll('-', ' ') : `part ${Number(path[at + 1]) + 1}`
}

const valueAt = (path: Path, value: unknown): unknown =>
  path.reduce<unknown>((within, key) => (within as Record<PropertyKey, unknown> | null | undefined)?.[key], value)

/** `CommaExpected` → comma expected. */
const wordsOf = (code: string) => code.replace(/[A-Z]/g, (letter, at) => `${at > 0 ? ' ' : ''}${letter.toLowerCase()}`)
