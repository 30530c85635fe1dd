import { END_ON_SHARE } from '../../catalogue/baits.ts'
import { type LineSpec, lineDiameterM } from '../../catalogue/materials.ts'
import { SINKER_DRAG_COEFFICIENT, sinkerDragAreaM2 } from '../../catalogue/sinkers.ts'
import { isLine, parentId, pieceById, strandsOf } from '../../documents/pieces.ts'
import type { LinePiece, Piece, Trace } from '../../documents/trace.ts'
import { OUTFIT } from '../../documents/vocabulary.ts'
import { CoreError } from '../../errors.ts'
import { linesOut, spoolOf, woundOnM } from '../../outfits/outfitLines.ts'
import type { TowedBody, TowedLayer, TowedLine } from '../../physics/flown/towed.ts'
import { type TrollLiftInput, trollLift } from '../../physics/flown/trollLift.ts'
import { sphereAreaM2 } from '../../physics/water/sphere.ts'
import { isBody, pieceDensityKgperM3, streamAreaM2 } from '../bodies.ts'
import { massOfKg } from '../masses.ts'
import type { Rig } from '../setup.ts'

/** How a lure is tried that says nothing but its depth. Nominal. */
export const TRIED = { speedMperS: 1.5, lineOutM: 30, lineDiameterM: 0.24e-3 }
/** Line is followed as closely as its drag is known. */
export const TOW_TOLERANCE = 1e-3

/** What a trace tows: its line with so much out, its weights so many times as heavy. */
export type Tow = {
  /** The trace’s own line, to what hangs farthest, m. */
  traceM: number
  /** All the line that can be in the water, m. */
  mostM: number
  /** Line out counts to what hangs farthest; at least the trace is out, and no more than there is. */
  line: (lineOutM: number, weightTimes?: number, mainTimes?: number) => TowedLine
}

/** @throws CoreError 'no-root' where no lip takes a lure to its rating. The trace must be sound and fit the outfit. */
export function towOf(rig: Rig): Tow {
  const { trace, outfit, catalogue } = rig
  const bodies = new Map(trace.pieces.filter((piece) => !isLine(piece)).map((piece) => [piece.id, bodyOf(rig, piece)]))
  const asItIs = hungOn(OUTFIT, 1)
  const traceM = Math.max(0, ...asItIs.map(reachM))
  const spool = spoolOf(catalogue, outfit, 0)
  const mostM = traceM + woundOnM(spool) * (1 - 1e-9)
  return {
    traceM,
    mostM,
    line: (lineOutM, weightTimes = 1, mainTimes = 1) => {
      const outM = Math.max(0, Math.min(lineOutM, mostM) - traceM)
      const layers = linesOut(outfit, spool, outM)
        .toReversed()
        .filter(({ outM: each }) => each > 0)
        .map(({ line, outM: each }) => layerOf(line, each, mainTimes))
      return { layers, bodies: [], after: weightTimes === 1 ? asItIs : hungOn(OUTFIT, weightTimes) }
    },
  }

  function hungOn(id: string, weightTimes: number): TowedLine[] {
    return childrenOf(trace, id).map((piece) => towedFrom(piece, weightTimes))
  }

  function towedFrom(piece: Piece, weightTimes: number): TowedLine {
    if (isLine(piece)) return alongLine(piece, weightTimes)
    const body = bodies.get(piece.id)!
    const times = isBody(piece) || piece.role === 'sinker' ? weightTimes : 1
    // So many times as heavy of the same make, it is as much larger.
    const drawn = { ...body, id: piece.id, massKg: times * body.massKg, dragAreaM2: times ** (2 / 3) * body.dragAreaM2 }
    return { layers: [], bodies: body.massKg > 0 ? [drawn] : [], after: hungOn(piece.id, weightTimes) }
  }

  function alongLine(line: LinePiece, weightTimes: number): TowedLine {
    const fixed = trace.pieces.flatMap((piece) =>
      piece.attach.how === 'fixed' && piece.attach.on === line.id ? [{ piece, atM: piece.attach.atM }] : [],
    )
    let below: TowedLine = { layers: [], bodies: [], after: hungOn(line.id, weightTimes) }
    let toM = line.lengthM
    const upTo = (fromM: number) => {
      // Strands side by side push as one line of their area.
      if (toM > fromM) below = { ...below, layers: [layerOf(line, toM - fromM, Math.sqrt(strandsOf(line)))] }
      toM = fromM
    }
    for (const { piece, atM } of fixed.toSorted((a, b) => b.atM - a.atM)) {
      upTo(atM)
      below = { layers: [], bodies: [], after: [below, towedFrom(piece, weightTimes)] }
    }
    upTo(0)
    return below
  }

  function layerOf(line: LineSpec, lengthM: number, times: number): TowedLayer {
    const { densityKgperM3 } = catalogue.materials[line.material]
    return { lengthM, diameterM: lineDiameterM(catalogue, line) * times, densityKgperM3 }
  }
}

const reachM = ({ layers, after }: TowedLine): number =>
  layers.reduce((sum, { lengthM }) => sum + lengthM, 0) + Math.max(0, ...after.map(reachM))

/** The pieces at the far end of a piece. A slider counts at the stop that it rests on; one pinched on the outfit’s line, at its end. */
function childrenOf(trace: Trace, id: string): Piece[] {
  return trace.pieces.filter((piece) => {
    const { attach } = piece
    if (attach.how === 'fixed') return id === OUTFIT && attach.on === OUTFIT
    if (attach.how !== 'sliding') return parentId(attach) === id
    const stop = attach.stops.below === undefined ? undefined : pieceById(trace, attach.stops.below)
    return (stop === undefined ? attach.on : isLine(stop) ? parentId(stop.attach) : stop.id) === id
  })
}

type RatedLure = Extract<Piece, { role: 'lure' }> & { ratedDepthM: number }
const isRated = (piece: Piece): piece is RatedLure => piece.role === 'lure' && piece.ratedDepthM !== undefined

/** A part as it is drawn: its weight, its drag, and what a lip pulls it down by. */
function bodyOf(rig: Rig, piece: Piece): TowedBody {
  const body = bodyWithoutLip(rig, piece)
  return { ...body, liftAreaM2: isRated(piece) ? lipM2(rig, piece, body) : 0 }
}

const bodyWithoutLip = (rig: Rig, piece: Piece): Omit<TowedBody, 'liftAreaM2'> => ({
  massKg: massOfKg(rig.catalogue, piece),
  densityKgperM3: pieceDensityKgperM3(rig, piece),
  dragAreaM2: towAreaM2(rig, piece),
})

/** Drag coefficient times area as it is drawn, m². Nominal: a lure swims along, a bait trails. */
function towAreaM2(rig: Rig, piece: Piece): number {
  if (piece.role === 'sinker') return sinkerDragAreaM2(rig.catalogue, piece)
  if (isBody(piece)) {
    if (piece.dragAreaM2 !== undefined) return piece.dragAreaM2
    const { lengthM: _length, depthM: _depth, ...unmeasured } = piece
    return streamAreaM2(rig, unmeasured as typeof piece) * (piece.role === 'bait' ? END_ON_SHARE : 1)
  }
  return SINKER_DRAG_COEFFICIENT * sphereAreaM2(massOfKg(rig.catalogue, piece), pieceDensityKgperM3(rig, piece))
}

/** What `troll.lift` is asked of a lure: its rating, on the line that it was tried on. */
function liftInput({ catalogue }: Rig, lure: RatedLure, body: Omit<TowedBody, 'liftAreaM2'>): TrollLiftInput {
  return {
    depthM: lure.ratedDepthM,
    speedMperS: lure.ratedSpeedMperS ?? TRIED.speedMperS,
    layers: [
      {
        lengthM: lure.ratedLineOutM ?? TRIED.lineOutM,
        diameterM: lure.ratedLineDiameterM ?? TRIED.lineDiameterM,
        densityKgperM3: catalogue.materials.braid.densityKgperM3,
      },
    ],
    endMassKg: body.massKg,
    endDensityKgperM3: body.densityKgperM3,
    endDragAreaM2: body.dragAreaM2,
  }
}

/** The ratings of a trace’s lures, as they are asked about. */
export const liftsOf = (rig: Rig): TrollLiftInput[] =>
  rig.trace.pieces.filter(isRated).map((lure) => liftInput(rig, lure, bodyWithoutLip(rig, lure)))

/** The lip that a lure’s rating asks for; none where it runs deeper by its weight alone. */
function lipM2(rig: Rig, lure: RatedLure, body: Omit<TowedBody, 'liftAreaM2'>): number {
  try {
    return trollLift(liftInput(rig, lure, body)).endLiftAreaM2
  } catch (error) {
    if (error instanceof CoreError && error.code === 'no-root' && error.details.end === 'least') return 0
    throw error
  }
}
