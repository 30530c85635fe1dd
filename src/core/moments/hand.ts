import { type LinkRef, pieceIdOf, pieceRef, sameLink, woundRef } from '../documents/linkRef.ts'
import { hungFrom, isLine, isTied, lineById } from '../documents/pieces.ts'
import type { LinePiece, Piece, Trace } from '../documents/trace.ts'
import { GRAVITY_M_PER_S2 } from '../math/constants.ts'
import { freeLine } from '../outfits/outfitLines.ts'
import type { Link } from '../setup/pathLinks.ts'
import { linksFrom, type PreparedSetup, weakestOf } from '../setup/prepareSetup.ts'
import type { Rig } from '../setup/setup.ts'
import { alongM, lineAlongM, lineUp, type PathElement } from '../soundness/paths.ts'
import { chainRequest } from './chainRequest.ts'
import { borneN, handLimits } from './landed.ts'
import {
  decisive,
  type Figure,
  type Graded,
  gradeAtLeast,
  type Input,
  type MomentKind,
  type MomentResult,
  type Verdict,
  worseVerdict,
  worstOf,
} from './moment.ts'
import { gradedRush, type Rush, rushInputs, rushOn, rushRequest } from './rush.ts'
import { LONGEST_DROP_M } from './thresholds.ts'

/** Lowest that a hand gets above the feet, bent down at the edge, m. Nominal. */
export const HAND_ABOVE_FEET_M = 0.3
/** Height of the rod's butt above the feet as the rod is held up, m. Nominal. */
export const BUTT_ABOVE_FEET_M = 1
/** What the hand is judged by: the fish on the line, how far the hand and the rod reach, the drop to the sinker, and a last rush. */
export type HandCause = 'weight' | 'outOfReach' | 'tooLong' | 'longDrop' | 'rush'

type HandPath = {
  end: string
  /** The line that the hand gets hold of, the outfit's where the trace is too short to reach; undefined where no hand does. */
  inHand: LinkRef | undefined
  /** How far up from the hook the hand gets hold, and the length of the trace to that hook, m. */
  atM: number
  traceM: number
  outOfReach: boolean
  /** What meets the tip ring first when all is wound in, and what hangs beyond it, m. */
  stopsAt: LinkRef
  beyondTipM: number
  /** What the rod held up can bring to the surface, m. */
  rodReachM: number
  tooLong: boolean
  /** A bead above it takes the knock. */
  beadAtTip: boolean
  links: Link[]
  weakest: Link
  /** A last rush under the rod tip, with a rod’s length of line out. */
  rush: Rush
  /** By weight and reach, without the rush. */
  withoutRush: Verdict
  /** What decides: the verdict, the figure and the margin are its own. */
  cause: HandCause
  figure: Figure
  verdict: Verdict
  margin: number
}
export type Hand = MomentResult<'hand'> & {
  paths: HandPath[]
  deciding: HandPath
  /** Dead weight of the fish, and how much of it the chain holds as it is landed, N. */
  weightN: number
  borneN: number
  /** The weakest link over that, and what it must hold. */
  overPull: number
  limits: { holds: number; watch: number }
  /** Nobody gave the fish: its weight decides nothing. */
  fishAssumed: boolean
  /** The longest drop to a sinker, where it takes more than one lift. */
  longDrop?: { id: string; lengthM: number }
  /** What the hand holds that cuts. */
  cuts?: 'braid' | 'wire'
}

/** The fish at the side. */
export const HAND: MomentKind<Hand> = {
  judge: judgeHand,
  derive: (setup, { end, deciding }) => [chainRequest(setup, end), rushRequest(setup, end, deciding.rush)],
  levers: [
    { of: 'conditions', field: 'fishMassKg', quantity: 'fish' },
    { of: 'conditions', field: 'freeboardM', quantity: 'length' },
    { of: 'conditions', field: 'lineOutM', quantity: 'length' },
  ],
}

/**
 * Where a hand takes hold, bent down to the edge, it does so at freeboard + 0.3 m up from the hook; from there on, or from the rod
 * where none does, the weakest link over the load of the chain decides (see `borneN`). Out of reach is never better than `watch`: where the trace is shorter than that and braid
 * is left to hold, where more hangs beyond the tip ring than the rod held up can bring to whoever lands it (freeboard + 1 m + the rod + the reach of a net), or where a
 * sinker's drop is over 1.5 m; nor is it better than a last rush under the rod tip leaves it. Undefined for a trace without a hook or lure.
 */
function judgeHand(setup: PreparedSetup): Hand | undefined {
  const { trace, conditions, catalogue } = setup
  const weightN = conditions.fishMassKg * GRAVITY_M_PER_S2
  const landing = catalogue.landings[conditions.landing]
  const borne = borneN(landing, conditions.fishMassKg, conditions.startFactor * conditions.dragN)
  const longDrop = longestDrop(trace)
  const paths = setup.ends.filter(({ role }) => role !== 'sinker').map((end) => handPath(setup, end, borne, longDrop))
  const deciding = worstOf(paths)
  if (!deciding) return undefined
  const cuts = deciding.inHand && cutting(deciding.inHand, setup)
  return {
    moment: 'hand',
    verdict: deciding.verdict,
    end: deciding.end,
    decides: deciding.weakest.ref,
    figure: deciding.figure,
    margin: deciding.margin,
    inputs: inputsOf(setup, deciding, { weightN, borneN: borne }, longDrop),
    paths,
    deciding,
    weightN,
    borneN: borne,
    overPull: deciding.weakest.strengthN / borne,
    limits: handLimits(landing),
    fishAssumed: conditions.fishAssumed ?? false,
    ...(longDrop ? { longDrop } : {}),
    ...(cuts ? { cuts } : {}),
  }
}

function handPath(setup: PreparedSetup, end: Piece, borne: number, longDrop: Hand['longDrop']): HandPath {
  const { trace, outfit, catalogue, conditions, tracePath, path } = setup
  const elements = tracePath(end.id)
  const landing = catalogue.landings[conditions.landing]
  const { byHand, beyondRodM } = landing
  const limits = handLimits(landing)
  const atM = conditions.freeboardM + HAND_ABOVE_FEET_M
  const held = byHand ? lineUp(elements, atM) : undefined
  const links = linksFrom(outfit, path(end.id).links, elements, held)
  const weakest = weakestOf(links)
  const traceM = lineAlongM(elements)
  const tip = tipStop({ trace, catalogue }, elements, end.id, traceM)
  const rodReachM = conditions.freeboardM + BUTT_ABOVE_FEET_M + outfit.rod.lengthM + (beyondRodM ?? 0)
  // A hand can hold a mono top shot or main line; braid under load it cannot.
  const outOfReach = byHand && held === undefined && freeLine(outfit).material === 'braid'
  const tooLong = beyondRodM !== undefined && tip.beyondM > rodReachM
  const rush = rushOn(setup, end.id, { lineOutM: outfit.rod.lengthM, atSide: true })
  const ratio = weakest.strengthN / borne
  const graded: [Graded<HandCause>, ...Graded<HandCause>[]] = [
    // A fish that nobody gave says nothing of the trace.
    {
      cause: 'weight',
      figure: { key: 'weakestOverWeight', quantity: 'ratio', value: ratio },
      verdict: conditions.fishAssumed ? 'holds' : gradeAtLeast(ratio, limits),
      margin: conditions.fishAssumed ? 1 : ratio / limits.holds,
    },
    ...(outOfReach ? [outOf('outOfReach', traceM, atM)] : []),
    ...(tooLong ? [outOf('tooLong', rodReachM, tip.beyondM)] : []),
    ...(longDrop ? [outOf('longDrop', LONGEST_DROP_M, longDrop.lengthM)] : []),
  ]
  return {
    end: end.id,
    inHand: byHand ? (held?.ref ?? woundRef(freeLine(outfit).role)) : undefined,
    atM,
    traceM,
    outOfReach,
    stopsAt: tip.ref,
    beyondTipM: tip.beyondM,
    rodReachM,
    tooLong,
    beadAtTip: trace.pieces.some(
      (piece) =>
        piece.role === 'hardware' &&
        piece.type === 'bead' &&
        piece.attach.how === 'sliding' &&
        sameLink(tip.ref, pieceRef(piece.attach.stops.below ?? '')),
    ),
    links,
    weakest,
    rush,
    withoutRush: graded.reduce<Verdict>((worst, { verdict }) => worseVerdict(worst, verdict), 'holds'),
    ...decisive<HandCause>([...graded, gradedRush(rush)]),
  }
}

/** What does not reach: it costs a fish at the edge, and is to be watched. */
const outOf = (cause: HandCause, reachM: number, wantedM: number): Graded<HandCause> => ({
  cause,
  figure: { key: cause, quantity: 'length', value: wantedM },
  verdict: 'watch',
  margin: reachM / wantedM,
})

/** What first meets the tip ring as the path is wound in, and how much hangs beyond it, m. */
function tipStop(
  { trace, catalogue }: Pick<Rig, 'trace' | 'catalogue'>,
  elements: readonly PathElement[],
  endId: string,
  traceM: number,
): { ref: LinkRef; beyondM: number } {
  let leftM = traceM
  for (const element of elements) {
    if (element.kind === 'part' && blocksAtTipRing(element.piece)) return { ref: element.ref, beyondM: leftM }
    if (
      element.kind === 'joint' &&
      isTied(element.joint) &&
      JOINS_LINES.includes(catalogue.connections[element.joint.connection].joins) &&
      !catalogue.connections[element.joint.connection].passesGuides
    )
      return { ref: element.ref, beyondM: leftM }
    if (element.kind !== 'line') continue
    const rider = firstBlockingPart(trace, element.line, element.fromM, element.toM)
    if (rider) return { ref: pieceRef(rider.id), beyondM: leftM - Math.abs(rider.atM - element.fromM) }
    leftM -= alongM(element)
  }
  return { ref: pieceRef(endId), beyondM: 0 }
}

const PASSES: readonly string[] = ['loop', 'whippedLoop', 'stopKnot', 'rubberStop', 'breakBand']

const JOINS_LINES: readonly string[] = ['line-line', 'doubles']

/** Loops and stops slip through the guides, and a band breaks; anything else of metal, plastic or lead does not. */
function blocksAtTipRing(piece: Piece): boolean {
  return !(piece.role === 'hardware' && PASSES.includes(piece.type))
}

/** The first thing fixed on a stretch of a line that jams; what slides comes in with the stop it rests on. */
function firstBlockingPart(trace: Trace, line: LinePiece, fromM: number, toM: number): { id: string; atM: number } | undefined {
  const [low, high] = [Math.min(fromM, toM), Math.max(fromM, toM)]
  return hungFrom(trace, line.id)
    .flatMap((piece) =>
      piece.attach.how === 'fixed' && piece.attach.atM >= low && piece.attach.atM <= high && blocksAtTipRing(piece)
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

function cutting(inHand: LinkRef, { trace, outfit }: PreparedSetup): 'braid' | 'wire' | undefined {
  const line = lineById(trace, pieceIdOf(inHand)) ?? freeLine(outfit)
  if (line.material === 'braid') return 'braid'
  return line.material === 'wire' || line.material === 'cable' ? 'wire' : undefined
}

function inputsOf(
  setup: PreparedSetup,
  path: HandPath,
  { weightN, borneN }: Pick<Hand, 'weightN' | 'borneN'>,
  longDrop: Hand['longDrop'],
): Input[] {
  const { conditions, outfit } = setup
  return [
    { key: 'fish', quantity: 'fish', value: conditions.fishMassKg, origin: conditions.fishAssumed ? 'nominal' : 'document' },
    { key: 'deadWeight', quantity: 'strength', value: weightN, origin: 'computed' },
    { key: 'landing', quantity: 'word', value: conditions.landing, origin: 'document' },
    { key: 'borne', quantity: 'strength', value: borneN, origin: conditions.landing === 'lift' ? 'computed' : 'nominal' },
    { key: 'freeboard', quantity: 'length', value: conditions.freeboardM, origin: 'document' },
    ...(path.inHand ? [{ key: 'handAboveHook', quantity: 'length', value: path.atM, origin: 'computed' } as const] : []),
    {
      key: 'weakestFromHand',
      quantity: 'strength',
      value: path.weakest.strengthN,
      origin: path.weakest.origin,
      ref: path.weakest.ref,
    },
    { key: 'rodLength', quantity: 'length', value: outfit.rod.lengthM, origin: 'document' },
    { key: 'beyondTipRing', quantity: 'length', value: path.beyondTipM, origin: 'computed' },
    { key: 'rodBrings', quantity: 'length', value: path.rodReachM, origin: 'computed' },
    ...(longDrop ? [{ key: 'dropToSinker', quantity: 'length', value: longDrop.lengthM, origin: 'document' } as const] : []),
    ...rushInputs(setup, path.rush),
  ]
}
