import type { Catalogue } from '../catalogue/catalogue.ts'
import type { Joint } from '../documents/fields.ts'
import { hungFrom, isLine, isTied, jointOf, lineById, parentId } from '../documents/pieces.ts'
import type { LinePiece, Piece, Trace } from '../documents/trace.ts'
import { OUTFIT } from '../documents/vocabulary.ts'
import { turnsIn } from '../setup/cutLength.ts'
import type { Rig } from '../setup/setup.ts'

/** One thing to do at the table, in order. Piece ids; the screen words them. */
export type Step =
  /** Slide parts onto a line, in this order, before the knot that closes that end. */
  | { do: 'thread'; line: string; parts: string[]; before?: string }
  /** Tie a knot: `piece` to `to`. */
  | { do: 'tie'; piece: string; to: string; joint: Joint; turns: number }
  /** Put part into part: a sinker on a snap, a bait on a hook. */
  | { do: 'fit'; piece: string; to: string }
  /** Fix a part at its mark on a line. */
  | { do: 'fix'; piece: string; line: string; atM: number; joint: Joint; turns: number }
  /** Last, at the water: the trace to the outfit's line. */
  | { do: 'connect'; piece: string; joint: Joint; turns: number }

/**
 * The order in which a trace is built: from its own head down, each line threaded before its far end is closed, marks fixed
 * after, branches next, and the connection to the outfit last.
 */
export function buildSteps({ trace, catalogue }: Pick<Rig, 'trace' | 'catalogue'>): Step[] {
  const builder = new Builder(trace, catalogue)
  const heads = hungFrom(trace, OUTFIT)
  const onOutfit = heads.filter(({ attach }) => attach.how !== 'joined').sort(byPlace)
  const tiedToOutfit = heads.filter(({ attach }) => attach.how === 'joined')
  for (const head of [...tiedToOutfit, ...onOutfit]) builder.pieceAndBelow(head)
  const closing = tiedToOutfit.flatMap((piece): Step[] => {
    const joint = jointOf(piece)
    return joint ? [{ do: 'connect', piece: piece.id, joint, turns: builder.turns(joint, piece) }] : []
  })
  const threadOutfit: Step[] =
    onOutfit.length > 0
      ? [
          {
            do: 'thread',
            line: OUTFIT,
            parts: onOutfit.map(({ id }) => id),
            ...(tiedToOutfit[0] ? { before: tiedToOutfit[0].id } : {}),
          },
        ]
      : []
  return [...builder.steps, ...threadOutfit, ...closing]
}

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
    // A knot tied in the line itself, and the loop it makes, need no threading.
    const threaded = partWay.filter(
      (piece) => !(piece.role === 'hardware' && (piece.type === 'loop' || piece.type === 'stopKnot')),
    )
    if (threaded.length > 0)
      this.steps.push({
        do: 'thread',
        line: line.id,
        parts: threaded.map(({ id }) => id),
        ...(far[0] ? { before: far[0].id } : {}),
      })
    for (const child of [...near, ...far]) this.tie(child)
    for (const child of partWay) {
      const { attach } = child
      if (attach.how === 'fixed')
        this.steps.push({
          do: 'fix',
          piece: child.id,
          line: line.id,
          atM: attach.atM,
          joint: attach.joint,
          turns: turnsIn(this.catalogue, attach.joint, line),
        })
    }
    for (const child of [...near, ...partWay, ...far]) this.pieceAndBelow(child)
  }

  private attach(child: Piece): void {
    this.tie(child)
    this.pieceAndBelow(child)
  }

  private tie(child: Piece): void {
    const to = parentId(child.attach)
    // A line through a pulley is slid in before its ends are closed.
    if (child.attach.how === 'through') this.steps.push({ do: 'thread', line: child.id, parts: [to] })
    const joint = child.attach.how === 'joined' ? child.attach.joint : undefined
    // Bait goes on at the water.
    if (!joint || joint.connection === 'runsOn' || child.role === 'bait') return
    this.steps.push(
      !isTied(joint)
        ? { do: 'fit', piece: child.id, to }
        : { do: 'tie', piece: child.id, to, joint, turns: this.turns(joint, child) },
    )
  }

  /** Turns in the line the knot is tied in: the piece's own, else the one it hangs from. */
  turns(joint: Joint, piece: Piece): number {
    const line = isLine(piece) ? piece : lineById(this.trace, parentId(piece.attach))
    return line ? turnsIn(this.catalogue, joint, line) : (joint.turns ?? 0)
  }
}

const placeOf = ({ attach }: Piece) => (attach.how === 'joined' ? Number.POSITIVE_INFINITY : attach.atM)
const byPlace = (a: Piece, b: Piece) => placeOf(a) - placeOf(b)
