import { connectionOf } from '../gear/connections.ts'
import { GRAVITY_M_PER_S2 } from '../math/constants.ts'
import type { Link } from '../strength/pathLinks.ts'
import { freeLine } from '../trace/outfit.ts'
import type { PathElement } from '../trace/paths.ts'
import { isLine, isTied, type LinePiece, type Piece, type Trace } from '../trace/schema.ts'
import { gradeAtLeast, type Input, type Moment, type Verdict, worseVerdict, worstOf } from './moment.ts'
import { type Workings, weakestOf } from './workings.ts'

/** Weakest of the part in hand over the dead weight that holds, and that is to be watched. */
const HOLDS = 3
const WATCH = 2
/** Lowest that a hand gets above the feet, bent down at the edge, m. Nominal. */
const HAND_ABOVE_FEET_M = 0.3
/** Height of the rod's butt above the feet as the rod is held up, m. Nominal. */
const BUTT_ABOVE_FEET_M = 1
/** A sinker on a longer drop does not come in with one lift, m. */
export const LONGEST_DROP_M = 1.5

type HandPath = {
  end: string
  /** The line that the hand gets hold of: a piece's id, or the outfit's where the trace is too short to reach. */
  inHand: string
  /** How far up from the hook the hand gets hold, m. */
  atM: number
  outOfReach: boolean
  /** What meets the tip ring first when all is wound in, and what hangs beyond it, m. */
  stopsAt: string
  beyondTipM: number
  /** What the rod held up can bring to the surface, m. */
  rodReachM: number
  tooLong: boolean
  /** A bead above it takes the knock. */
  beadAtTip: boolean
  links: Link[]
  weakest: Link
  verdict: Verdict
  margin: number
}
export type Hand = Moment & {
  paths: HandPath[]
  deciding: HandPath
  weightN: number
  /** The longest drop to a sinker, where it takes more than one lift. */
  longDrop?: { id: string; lengthM: number }
  /** What the hand holds that cuts. */
  cuts?: 'braid' | 'wire'
}

/**
 * Hand: the fish at the side. The hand, bent down to the edge, gets hold of the path at freeboard + 0.3 m up from the hook; from
 * there on the weakest link over the fish's dead weight decides. Out of reach is never better than `watch`: where the trace is
 * shorter than that and braid is left to hold, where more hangs beyond the tip ring than the rod held up can bring
 * (freeboard + 1 m + the rod), or where a sinker's drop is over 1.5 m. Undefined for a trace without a hook or lure.
 */
export function handMoment(workings: Workings): Hand | undefined {
  const { trace, conditions } = workings
  const weightN = conditions.fishMassKg * GRAVITY_M_PER_S2
  const longDrop = longestDrop(trace)
  const paths = workings.ends
    .filter(({ role }) => role !== 'sinker')
    .map((end) => handPath(workings, end, weightN, longDrop !== undefined))
  const worst = worstOf(paths)
  if (!worst) return undefined
  const cuts = cutting(worst.inHand, workings)
  return {
    moment: 'hand',
    verdict: worst.verdict,
    end: worst.end,
    decides: worst.weakest.id,
    figure: { name: 'weakestOverWeight', value: worst.weakest.strengthN / weightN, unit: '' },
    margin: worst.margin,
    inputs: inputsOf(workings, worst, weightN, longDrop),
    paths,
    deciding: worst,
    weightN,
    ...(longDrop ? { longDrop } : {}),
    ...(cuts ? { cuts } : {}),
  }
}

function handPath(
  { trace, outfit, conditions, tracePath, path }: Workings,
  end: Piece,
  weightN: number,
  longDrop: boolean,
): HandPath {
  const elements = tracePath(end.id)
  const atM = conditions.freeboardM + HAND_ABOVE_FEET_M
  const held = heldFrom(elements, atM)
  const all = path(end.id).links
  const below = new Set(elements.slice(held ?? 0).map(({ id }) => id))
  const outfitLine = freeLine(outfit).role
  const links =
    held === undefined ? all.slice(all.findIndex(({ id }) => id === outfitLine)) : all.filter(({ id }) => below.has(id))
  const weakest = weakestOf(links)
  const tip = tipStop(trace, elements, end.id)
  const rodReachM = conditions.freeboardM + BUTT_ABOVE_FEET_M + outfit.rod.lengthM
  // A hand can hold a mono top shot or main line; braid under load it cannot.
  const outOfReach = held === undefined && freeLine(outfit).material === 'braid'
  const tooLong = tip.beyondM > rodReachM
  const ratio = weakest.strengthN / weightN
  const byWeight = gradeAtLeast(ratio, HOLDS, WATCH)
  return {
    end: end.id,
    inHand: held === undefined ? outfitLine : elements[held]!.id,
    atM,
    outOfReach,
    stopsAt: tip.id,
    beyondTipM: tip.beyondM,
    rodReachM,
    tooLong,
    beadAtTip: trace.pieces.some(
      (piece) =>
        piece.role === 'hardware' &&
        piece.type === 'bead' &&
        piece.attach.how === 'sliding' &&
        piece.attach.stops.below === tip.id,
    ),
    links,
    weakest,
    verdict: outOfReach || tooLong || longDrop ? worseVerdict(byWeight, 'watch') : byWeight,
    margin: ratio / HOLDS,
  }
}

const lengthM = (element: PathElement) => (element.kind === 'line' ? Math.abs(element.toM - element.fromM) : 0)

/** The element of a path, a line, that lies so far up from its end; undefined where the path is shorter. */
function heldFrom(elements: readonly PathElement[], upM: number): number | undefined {
  let m = 0
  for (let i = elements.length - 1; i >= 0; i -= 1) {
    m += lengthM(elements[i]!)
    if (elements[i]!.kind === 'line' && m >= upM) return i
  }
  return undefined
}

/** What first meets the tip ring as the path is wound in, and how much hangs beyond it, m. */
function tipStop(trace: Trace, elements: readonly PathElement[], endId: string): { id: string; beyondM: number } {
  let leftM = elements.reduce((sum, element) => sum + lengthM(element), 0)
  for (const element of elements) {
    if (element.kind === 'part' && jams(element.piece)) return { id: element.id, beyondM: leftM }
    if (
      element.kind === 'joint' &&
      isTied(element.joint) &&
      joinsLines(element.joint.connection) &&
      !connectionOf(element.joint.connection).passesGuides
    )
      return { id: element.id, beyondM: leftM }
    if (element.kind !== 'line') continue
    const rider = firstRider(trace, element.line, element.fromM, element.toM)
    if (rider) return { id: rider.id, beyondM: leftM - Math.abs(rider.atM - element.fromM) }
    leftM -= lengthM(element)
  }
  return { id: endId, beyondM: 0 }
}

const PASSES: readonly string[] = ['loop', 'stopKnot', 'breakBand']

const joinsLines = (connection: Parameters<typeof connectionOf>[0]) =>
  ['line-line', 'doubles'].includes(connectionOf(connection).joins)

/** Loops and stop knots slip through the guides, and a band breaks; anything else of metal, plastic or lead does not. */
function jams(piece: Piece): boolean {
  return !(piece.role === 'hardware' && PASSES.includes(piece.type))
}

/** The first thing fixed on a stretch of a line that jams; what slides comes in with the stop it bears on. */
function firstRider(trace: Trace, line: LinePiece, fromM: number, toM: number): { id: string; atM: number } | undefined {
  const [low, high] = [Math.min(fromM, toM), Math.max(fromM, toM)]
  return trace.pieces
    .flatMap((piece) =>
      piece.attach.how === 'fixed' &&
      piece.attach.on === line.id &&
      piece.attach.atM >= low &&
      piece.attach.atM <= high &&
      jams(piece)
        ? [{ id: piece.id, atM: piece.attach.atM }]
        : [],
    )
    .toSorted((a, b) => Math.abs(a.atM - fromM) - Math.abs(b.atM - fromM))[0]
}

function longestDrop(trace: Trace): { id: string; lengthM: number } | undefined {
  const [longest] = trace.pieces
    .filter(isLine)
    .filter((line) => line.role === 'sinkerLink' && line.lengthM > LONGEST_DROP_M)
    .toSorted((a, b) => b.lengthM - a.lengthM)
  return longest && { id: longest.id, lengthM: longest.lengthM }
}

function cutting(inHand: string, { trace, outfit }: Workings): 'braid' | 'wire' | undefined {
  const line = trace.pieces.filter(isLine).find(({ id }) => id === inHand) ?? freeLine(outfit)
  if (line.material === 'braid') return 'braid'
  return line.material === 'wire' || line.material === 'cable' ? 'wire' : undefined
}

function inputsOf({ conditions, outfit }: Workings, path: HandPath, weightN: number, longDrop: Hand['longDrop']): Input[] {
  return [
    { name: 'fish', value: conditions.fishMassKg, unit: 'kg', from: 'document' },
    { name: 'dead weight', value: weightN, unit: 'N', from: 'computed' },
    { name: 'freeboard', value: conditions.freeboardM, unit: 'm', from: 'document' },
    { name: 'hand gets hold above the hook', value: path.atM, unit: 'm', from: 'computed' },
    { name: 'weakest from there on', value: path.weakest.strengthN, unit: 'N', from: path.weakest.basis },
    { name: 'rod', value: outfit.rod.lengthM, unit: 'm', from: 'document' },
    { name: 'beyond the tip ring', value: path.beyondTipM, unit: 'm', from: 'computed' },
    { name: 'rod held up brings', value: path.rodReachM, unit: 'm', from: 'computed' },
    ...(longDrop ? [{ name: 'drop to the sinker', value: longDrop.lengthM, unit: 'm', from: 'document' as const }] : []),
  ]
}
