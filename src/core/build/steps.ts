import type { Catalogue } from '../catalogue/catalogue.ts'
import type { LineSpec } from '../catalogue/materials.ts'
import type { Joint } from '../documents/fields.ts'
import { hungFrom, isHardware, isLine, isTied, jointOf, lineById, parentId, pieceById, wrapsOf } from '../documents/pieces.ts'
import type { LinePiece, Piece, Trace } from '../documents/trace.ts'
import { OUTFIT } from '../documents/vocabulary.ts'
import { freeLine } from '../outfits/outfitLines.ts'
import { turnsIn } from '../setup/cutLength.ts'
import type { Rig } from '../setup/setup.ts'

/** One thing to do at the table, in order. Piece ids; the screen words them. */
export type Step =
  /** Slide parts onto a line, in this order, before the knot that closes that end. */
  | { do: 'thread'; line: string; parts: string[]; before?: string }
  /** Wrap a line so many times around the shank of a hook on it, at its mark. */
  | { do: 'wrap'; piece: string; line: string; times: number }
  /** Tie a knot: `piece` to `to`; or make the loop `to` in the end of the line `piece` itself. */
  | { do: 'tie'; piece: string; to: string; joint: Joint; turns: number; inOwnEnd: boolean }
  /** Put part into part: a sinker on a snap, a bait on a hook. */
  | { do: 'fit'; piece: string; to: string }
  /** Fix a part at its mark on a line. */
  | { do: 'fix'; piece: string; line: string; atM: number; joint: Joint; turns: number }
  /** Last, at the water: the trace to the outfit's line. */
  | { do: 'connect'; piece: string; joint: Joint; turns: number }

/**
 * The order in which a trace is built: from its own head down, each line threaded before its far end is closed, what is tied part-way in
 * its place among what is threaded, branches next. What goes on the reel’s own line comes last: what slides on it, its double, and the
 * connection.
 */
export function buildSteps({ trace, catalogue }: Pick<Rig, 'trace' | 'catalogue'>): Step[] {
  const builder = new Builder(trace, catalogue)
  const heads = hungFrom(trace, OUTFIT)
  const onOutfit = heads.filter(({ attach }) => attach.how !== 'joined').sort((a, b) => byPlace(b, a))
  const tiedToOutfit = heads.filter(({ attach }) => attach.how === 'joined')
  for (const head of [...tiedToOutfit, ...onOutfit]) {
    // What hangs from a double of the reel’s line is made first and tied to it at the water.
    if (isDouble(head)) for (const below of hungFrom(trace, head.id)) builder.pieceAndBelow(below)
    else builder.pieceAndBelow(head)
  }
  builder.thread(OUTFIT, onOutfit, tiedToOutfit[0])
  for (const head of tiedToOutfit) {
    const joint = jointOf(head)
    if (joint) builder.steps.push({ do: 'connect', piece: head.id, joint, turns: builder.turns(joint, head) })
    if (isDouble(head)) builder.closeDouble(head.id)
  }
  return builder.steps
}

/** The lines that a step ties its knot in: of what is tied to the outfit, the line on the reel first. */
export function linesTied(step: Extract<Step, { joint: Joint }>, { trace, outfit }: Pick<Rig, 'trace' | 'outfit'>): LineSpec[] {
  const line = (id: string) => lineById(trace, id)
  const lines = () => {
    switch (step.do) {
      case 'connect':
        return [freeLine(outfit), line(step.piece)]
      case 'fix':
        return [line(step.line)]
      case 'tie':
        return [line(step.piece), step.inOwnEnd ? undefined : line(step.to)]
    }
  }
  return lines().filter((each) => each !== undefined)
}

const isDouble = (piece: Piece) => isLine(piece) && piece.role === 'double'

class Builder {
  readonly steps: Step[] = []
  private readonly trace: Trace
  private readonly catalogue: Catalogue

  constructor(trace: Trace, catalogue: Catalogue) {
    this.trace = trace
    this.catalogue = catalogue
  }

  /** A piece that is already tied on: build what hangs from it. */
  pieceAndBelow(piece: Piece): void {
    const hung = hungFrom(this.trace, piece.id)
    if (isLine(piece)) this.line(piece, hung)
    else for (const child of hung) this.attach(child)
  }

  private line(line: LinePiece, hung: readonly Piece[]): void {
    const partWay = hung.filter(({ attach }) => attach.how !== 'joined').sort(byPlace)
    const near = hung.filter(({ attach }) => attach.how === 'joined' && attach.end === 'near')
    const far = hung.filter(({ attach }) => attach.how === 'joined' && attach.end !== 'near')
    this.thread(line.id, partWay, far[0])
    for (const child of [...near, ...far]) if (!this.closesLast(child)) this.tie(child)
    for (const child of [...near, ...partWay, ...far]) this.pieceAndBelow(child)
    for (const child of [...near, ...far]) if (this.closesLast(child)) this.tie(child)
  }

  /**
   * What sits part-way on a line, from its near end on: what is threaded, and in its place among it what is tied in the line or on it;
   * last, what is fixed at its mark. `closing` is what closes the end it goes on over.
   */
  thread(line: string, partWay: readonly Piece[], closing: Piece | undefined): void {
    let run: string[] = []
    const flush = () => {
      if (run.length > 0) this.steps.push({ do: 'thread', line, parts: run, ...(closing ? { before: closing.id } : {}) })
      run = []
    }
    for (const child of partWay) {
      if (!isKnotted(child)) run.push(child.id)
      else {
        flush()
        this.fix(child, line)
      }
    }
    flush()
    for (const { id, times } of partWay.map((piece) => ({ id: piece.id, times: wrapsOf(piece) })))
      if (times > 0) this.steps.push({ do: 'wrap', line, piece: id, times })
    for (const child of partWay) if (!isKnotted(child)) this.fix(child, line)
  }

  private fix({ id, attach }: Piece, on: string): void {
    const line = lineById(this.trace, on)
    if (attach.how !== 'fixed') return
    const turns = line ? turnsIn(this.catalogue, attach.joint, line) : (attach.joint.turns ?? 0)
    this.steps.push({ do: 'fix', piece: id, line: on, atM: attach.atM, joint: attach.joint, turns })
  }

  /** What rides on a double of the reel’s line goes on over both strands before what is tied to its end. */
  closeDouble(double: string): void {
    const hung = hungFrom(this.trace, double)
    const ends = hung.filter(({ attach }) => attach.how === 'joined')
    this.thread(double, hung.filter(({ attach }) => attach.how !== 'joined').sort(byPlace), ends[0])
    for (const end of ends) this.tie(end)
  }

  /** A loop is made in its own line before it is hitched to anything. */
  private closesLast(piece: Piece): boolean {
    const joint = jointOf(piece)
    return isHardware(piece, 'loop') && joint !== undefined && this.catalogue.connections[joint.connection].joins === 'loop-loop'
  }

  private attach(child: Piece): void {
    if (!this.closesLast(child)) this.tie(child)
    this.pieceAndBelow(child)
    if (this.closesLast(child)) this.tie(child)
  }

  tie(child: Piece): void {
    const to = parentId(child.attach)
    // A line through a pulley is slid in before its ends are closed.
    if (child.attach.how === 'through') this.steps.push({ do: 'thread', line: child.id, parts: [to] })
    const joint = child.attach.how === 'joined' ? child.attach.joint : undefined
    // Bait goes on at the water.
    if (!joint || joint.connection === 'runsOn' || child.role === 'bait') return
    this.steps.push(
      !isTied(joint)
        ? { do: 'fit', piece: child.id, to }
        : { do: 'tie', piece: child.id, to, joint, turns: this.turns(joint, child), inOwnEnd: this.isOwnLoop(child, to) },
    )
  }

  /** Whether a line’s joint to a loop is that loop, made in the line’s end: it goes on by the hitch that the loop hangs by. */
  isOwnLoop(child: Piece, to: string): boolean {
    const loop = pieceById(this.trace, to)
    const hitch = loop && isHardware(loop, 'loop') ? jointOf(loop) : undefined
    return isLine(child) && hitch !== undefined && this.catalogue.connections[hitch.connection].joins === 'loop-loop'
  }

  /** Turns in the line the knot is tied in: the piece's own, else the one it hangs from. */
  turns(joint: Joint, piece: Piece): number {
    const line = isLine(piece) ? piece : lineById(this.trace, parentId(piece.attach))
    return line ? turnsIn(this.catalogue, joint, line) : (joint.turns ?? 0)
  }
}

/** A knot in the line, or of other line round it, and the loop it makes: nothing is threaded for it. */
const isKnotted = (piece: Piece) => KNOTTED.some((type) => isHardware(piece, type))
const KNOTTED = ['loop', 'whippedLoop', 'stopKnot'] as const

const placeOf = ({ attach }: Piece) => (attach.how === 'joined' ? Number.POSITIVE_INFINITY : attach.atM)
const byPlace = (a: Piece, b: Piece) => placeOf(a) - placeOf(b)
