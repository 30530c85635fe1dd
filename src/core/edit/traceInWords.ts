import type { Catalogue } from '../catalogue/catalogue.ts'
import type { Joint } from '../documents/fields.ts'
import { hungFrom, isHardware, isLine, isTied, jointOf } from '../documents/pieces.ts'
import type { LinePiece, Piece, Trace } from '../documents/trace.ts'
import { OUTFIT } from '../documents/vocabulary.ts'
import { factorToSi, type Quantity } from '../units/quantities.ts'
import { isFastOnLine } from './addPart.ts'
import { SINGLE_PARTS } from './newParts.ts'
import { REST_WORDS, RESTS, RIGGING_WORDS, WEAK } from './synonyms.ts'
import { plainName } from './wordDetails.ts'

/** Units that a figure is written in where it is short there; the last one always serves. */
const UNITS: Partial<Record<Quantity, readonly string[]>> = {
  strength: ['lb', 'kg', 'N'],
  length: ['m', 'cm', 'in', 'ft', 'm'],
  mass: ['g', 'oz', 'g'],
  diameter: ['mm'],
}

/**
 * A trace in the words that Add part reads: drawn again from the bare line it has the same parts, sizes, knots and places. What words
 * do not say stays behind: notes, tags, names of parts, release clips, own figures of a joint, findings set aside.
 */
export function traceInWords(trace: Trace, catalogue: Catalogue): string {
  const writer = new Writer(trace, catalogue)
  const riders = hungFrom(trace, OUTFIT).filter(({ attach }) => attach.how === 'fixed' || attach.how === 'sliding')
  const roots = hungFrom(trace, OUTFIT).filter(({ attach }) => attach.how === 'joined')
  const onMain = riders.toSorted((a, b) => placeOf(b) - placeOf(a)).map((piece) => writer.rider(piece))
  // What is drawn later comes before its neighbours in the document, so the last is written first.
  const [first, ...others] = roots.toReversed().map((piece) => writer.chain(piece))
  return [[...onMain, ...(first === undefined ? [] : [first])].join(', '), ...others].join('; ')
}

const placeOf = ({ attach }: Piece) => (attach.how === 'fixed' || attach.how === 'sliding' ? attach.atM : 0)

/** Below this a figure is nothing. */
const LEAST_SI = 1e-9

/** A number as short as it is exact to a millionth, in the first unit where it needs at most two decimals. */
function exact(quantity: Quantity, si: number): string {
  const units = UNITS[quantity] ?? []
  if (Math.abs(si) < LEAST_SI) return `0 ${units.at(-1)}`
  for (const unit of units) {
    const value = si / factorToSi(quantity, unit)!
    const short = Number(value.toFixed(2))
    if (Math.abs(short - value) <= 1e-9 * Math.abs(value)) return `${short} ${unit}`
  }
  const unit = units.at(-1)!
  return `${Number((si / factorToSi(quantity, unit)!).toPrecision(12))} ${unit}`
}

class Writer {
  private readonly trace: Trace
  private readonly catalogue: Catalogue

  constructor(trace: Trace, catalogue: Catalogue) {
    this.trace = trace
    this.catalogue = catalogue
  }

  /** What rides on the main line, with everything that hangs from it in brackets. */
  rider(piece: Piece): string {
    const hung = hungFrom(this.trace, piece.id)
      .toReversed()
      .map((each) => this.chain(each))
    return `${this.part(piece)}${hung.length > 0 ? ` (${hung.join('; ')})` : ''}`
  }

  /** A part, and after a comma what hangs from its end. */
  chain(piece: Piece): string {
    const hung = hungFrom(this.trace, piece.id)
    const near = hung.filter(({ attach }) => attach.how === 'joined' && attach.end === 'near')
    const ends = hung
      .toReversed()
      .filter(({ attach }) => attach.how === 'through' || (attach.how === 'joined' && attach.end !== 'near'))
    const along = hung
      .filter(({ attach }) => attach.how === 'fixed' || attach.how === 'sliding')
      // What is fast comes first: what slides looks for its stops among it.
      .toSorted((a, b) => Number(a.attach.how === 'sliding') - Number(b.attach.how === 'sliding') || placeOf(a) - placeOf(b))
    // One end goes on after the comma; from a part that carries several all hang in the brackets.
    const [after, beside] = isLine(piece) || ends.length < 2 ? [ends.slice(0, 1), ends.slice(1)] : [[], ends]
    const inBrackets = [
      ...near.map((each) => `near end ${this.chain(each)}`),
      ...along.map((each) => this.chain(each)),
      ...beside.map((each) => `${isLine(piece) ? 'far end ' : ''}${this.chain(each)}`),
    ]
    return [
      `${this.part(piece)}${inBrackets.length > 0 ? ` (${inBrackets.join('; ')})` : ''}`,
      ...after.map((each) => this.chain(each)),
    ].join(', ')
  }

  /** One part with all that is said of it. */
  part(piece: Piece): string {
    const { attach } = piece
    return [
      ...this.kind(piece),
      ...(attach.how === 'fixed' || attach.how === 'sliding' ? [exact('length', attach.atM)] : []),
      ...this.seat(piece),
      ...(attach.how === 'through' ? [`through ${exact('length', attach.atM)}`] : []),
      ...this.joint(jointOf(piece)),
      // A loop on a loop would be hitched to it.
      ...flags({ fitted: isHardware(piece, 'loop') && jointOf(piece)?.connection === 'fitted' }),
      ...(this.trace.weakLink === piece.id && !(isLine(piece) && piece.role === 'sinkerLink') ? ['weak'] : []),
      ...(this.trace.fuse?.id === piece.id ? [this.trace.fuse.at === 'joint' ? 'fuse knot' : 'fuse'] : []),
    ].join(' ')
  }

  /** Whether it is fast on its line or slides, and what holds it there, where that is not as usual. */
  private seat(piece: Piece): string[] {
    const { attach } = piece
    if (attach.how === 'sliding') {
      const rest = REST_WORDS.find(
        (word) => RESTS[word].above === 'above' in attach.stops && RESTS[word].below === 'below' in attach.stops,
      )!
      const isUsual = rest === (piece.role === 'float' ? 'rising' : 'resting')
      return [...(isFastOnLine(piece) ? ['sliding'] : []), ...(isUsual ? [] : [rest])]
    }
    return attach.how === 'fixed' && !isFastOnLine(piece) && !isTied(attach.joint) ? ['fixed'] : []
  }

  private joint(joint: Joint | undefined): string[] {
    if (!isTied(joint)) return []
    const name = plainName(this.catalogue.connections[joint.connection].name)
    return [name, ...(joint.turns === undefined ? [] : [`${joint.turns} turns`])]
  }

  private kind(piece: Piece): string[] {
    const { catalogue } = this
    if (isLine(piece)) return this.line(piece)
    switch (piece.role) {
      case 'hook':
        return [
          plainName(catalogue.hooks.patterns[piece.pattern].name),
          /^\d+$/.test(piece.size) ? `#${piece.size}` : piece.size,
          ...flags({
            barbless: piece.barbless,
            offset: piece.offset,
            opened: piece.openedEye,
            weedless: piece.weedGuard,
            swinging: piece.headSwings,
          }),
          ...(piece.wraps === undefined ? [] : [`${piece.wraps} wraps`]),
          ...figure('mass', piece.headKg),
          ...figure('diameter', piece.gapeM, 'gap'),
          ...figure('diameter', piece.wireM, 'thick'),
        ]
      case 'sinker':
        return [
          plainName(catalogue.sinkers[piece.shape].name),
          ...figure('mass', piece.massKg),
          ...(piece.metal ? [plainName(catalogue.sinkerMetals[piece.metal].name)] : []),
        ]
      case 'hardware':
        return [
          plainName(catalogue.hardware[piece.type].name),
          piece.size === undefined
            ? catalogue.hardware[piece.type].sizes.length > 0
              ? 'unsized'
              : ''
            : /^[\d/]+$/.test(piece.size)
              ? `#${piece.size}`
              : piece.size,
          ...figure('strength', piece.strengthN),
        ].filter((word) => word !== '')
      case 'lure':
        return [
          'lure',
          ...figure('mass', piece.massKg),
          ...figure('strength', piece.strengthN),
          ...flags({ spinning: piece.spins }),
          ...body(piece),
        ]
      case 'bait':
        return [
          ...(piece.alive === undefined ? [] : [piece.alive ? 'live' : 'dead']),
          plainName(catalogue.baits[piece.bait].name),
          ...figure('mass', piece.massKg),
          ...flags({ trimmed: piece.trimmed }),
          ...body(piece),
        ]
      default:
        return [piece.role, ...figure('mass', piece.massKg)]
    }
  }

  private line(line: LinePiece): string[] {
    const { connection } = jointOf(line) ?? {}
    const isWeak = this.trace.weakLink === line.id && line.role === 'sinkerLink'
    const name = isWeak ? WEAK[1]! : SINGLE_PARTS[line.role].name
    return [
      name,
      plainName(this.catalogue.materials[line.material].name),
      exact('strength', line.strengthN),
      exact('length', line.lengthM),
      ...figure('diameter', line.diameterM),
      ...(line.strands === undefined ? [] : [`${line.strands} strands`]),
      ...(line.twistPerM === undefined ? [] : [`${line.twistPerM} twists`]),
      ...(line.condition === undefined ? [] : [`${Number((100 * line.condition).toPrecision(6))}%`]),
      ...flags({ hollow: line.hollow, tested: line.pulled }),
      ...flags({ tag: connection === 'runsOn' }),
    ]
  }
}

/** A measure, with the word before it that says which of several it is. */
const figure = (quantity: Quantity, si: number | undefined, before = ''): string[] =>
  si === undefined ? [] : [`${before && `${before} `}${exact(quantity, si)}`]

const flags = (given: Readonly<Record<string, boolean | undefined>>): string[] =>
  Object.entries(given).flatMap(([word, is]) => (is ? [word] : []))

type Body = Pick<Extract<Piece, { role: 'bait' }>, 'lengthM' | 'depthM' | 'floats' | 'rigging' | 'tailM' | 'nailKg'>

/** Measures of a lure or bait, and how it is put on. */
const body = ({ lengthM, depthM, floats, rigging, tailM, nailKg }: Body): string[] => [
  ...figure('length', lengthM),
  ...figure('length', depthM, 'depth'),
  ...flags({ floating: floats }),
  ...Object.keys(RIGGING_WORDS)
    .filter((word) => RIGGING_WORDS[word] === rigging)
    .slice(0, 1),
  ...figure('length', tailM, 'tail'),
  ...figure('mass', nailKg, 'nail'),
]
