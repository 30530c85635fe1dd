import { END_ON_SHARE } from '../../catalogue/baits.ts'
import type { Catalogue } from '../../catalogue/catalogue.ts'
import { gripOf } from '../../catalogue/grip.ts'
import type { HoldKind, SinkerShape } from '../../catalogue/ids.ts'
import { SINKER_DRAG_COEFFICIENT, sinkerDragAreaM2 } from '../../catalogue/sinkers.ts'
import { hungFrom, isHeaded, isOnHook } from '../../documents/pieces.ts'
import type { Piece, Trace } from '../../documents/trace.ts'
import type { Water } from '../../documents/water.ts'
import { DENSITY_KG_PER_M3 } from '../../math/constants.ts'
import { bodyDensityKgperM3, HEADED_KG_PER_M3, isBody, overNominal, streamAreaM2 } from '../bodies.ts'
import { bluntAreaM2 } from '../flight.ts'
import { massOfKg } from '../masses.ts'
import type { PreparedSetup } from '../prepareSetup.ts'
import type { Rig } from '../setup.ts'

export type Sinker = Extract<Piece, { role: 'sinker' }>

/** What takes a line down: its sinker, or on a free line the baited hook. */
export type Weight = {
  /** The piece: the sinker, or the hook. */
  id: string
  massKg: number
  densityKgperM3: number
  /** Of a sphere of its mass, in the stream; a bait's own drag is the bait's. */
  dragCoefficient: number
  /** Drag coefficient times area as it falls, the bait left out, m². */
  fallAreaM2: number
  /** How it holds on the bed; a bait holds like plain lead. */
  shape: SinkerShape
}

/** A trace on its outfit, its lines and the ways through it worked out. */
type Rigged = Pick<PreparedSetup, 'trace' | 'outfit' | 'conditions' | 'catalogue' | 'spool' | 'tracePath'>

/** A rigged trace with a weight, in some water: all that is asked when it settles. */
export type Settling = Rigged & { weight: Weight; water: Water }

/** What settles of a trace in some water; undefined where nothing takes it down. */
export function settlingOf(
  { trace, outfit, conditions, catalogue, spool, tracePath }: Rigged,
  water: Water,
): Settling | undefined {
  const weight = weightOf({ trace, catalogue })
  return weight && { trace, outfit, conditions, catalogue, spool, tracePath, weight, water }
}

type Weighed = Pick<Rig, 'trace' | 'catalogue'>

/** What takes the line down: the heaviest sinker that stays on at the bottom, else a jig head, a lure that sinks, or the baited hook. */
export function weightOf({ trace, catalogue }: Weighed): Weight | undefined {
  const sinkers = trace.pieces.filter((piece): piece is Sinker => piece.role === 'sinker')
  const kept = sinkers.filter((sinker) => !fallsOff(trace, sinker))
  const heaviest = (kept.length > 0 ? kept : sinkers).toSorted((a, b) => b.massKg - a.massKg)[0]
  if (heaviest) return weightOfSinker(catalogue, heaviest)
  return heaviestHead({ trace, catalogue }) ?? heaviestLure({ trace, catalogue }) ?? baitedHook({ trace, catalogue })
}

function heaviestHead({ trace, catalogue }: Weighed): Weight | undefined {
  const head = trace.pieces.filter(isHeaded).toSorted((a, b) => b.headKg - a.headKg)[0]
  if (!head) return undefined
  const massKg = massOfKg(catalogue, head)
  return {
    id: head.id,
    massKg,
    densityKgperM3: HEADED_KG_PER_M3,
    dragCoefficient: SINKER_DRAG_COEFFICIENT,
    fallAreaM2: sinkerDragAreaM2(catalogue, { shape: 'ball', massKg }),
    shape: 'ball',
  }
}

function heaviestLure({ trace, catalogue }: Weighed): Weight | undefined {
  const lures = trace.pieces.filter((piece) => piece.role === 'lure').filter(({ floats }) => !floats)
  const lure = lures.toSorted((a, b) => b.massKg - a.massKg)[0]
  if (!lure) return undefined
  const over = overNominal({ trace, catalogue }, lure)
  const { massKg, id } = lure
  return {
    id,
    massKg,
    densityKgperM3: bodyDensityKgperM3(trace, lure),
    dragCoefficient: SINKER_DRAG_COEFFICIENT * over,
    fallAreaM2: bluntAreaM2(massKg) * over,
    shape: 'ball',
  }
}

export const weightOfSinker = (catalogue: Catalogue, sinker: Pick<Sinker, 'id' | 'massKg' | 'shape' | 'metal'>): Weight => ({
  id: sinker.id,
  massKg: sinker.massKg,
  densityKgperM3: catalogue.sinkerMetals[sinker.metal ?? 'lead'].densityKgperM3,
  dragCoefficient: SINKER_DRAG_COEFFICIENT,
  fallAreaM2: sinkerDragAreaM2(catalogue, sinker),
  shape: sinker.shape,
})

/** Whether a sinker hangs on a hook: a release weight, meant to drop off at the bottom. */
export const fallsOff = (trace: Trace, sinker: Sinker) => isOnHook(trace, sinker)

function baitedHook({ trace, catalogue }: Weighed): Weight | undefined {
  const hook = trace.pieces.find(
    (piece) => piece.role === 'hook' && hungFrom(trace, piece.id).some(({ role }) => role === 'bait'),
  )
  if (!hook) return undefined
  const hookKg = massOfKg(catalogue, hook)
  const baits = trace.pieces.filter((piece) => piece.role === 'bait')
  const baitKg = baits.reduce((sum, bait) => sum + massOfKg(catalogue, bait), 0)
  const baitM3 = baits.reduce((sum, bait) => sum + massOfKg(catalogue, bait) / bodyDensityKgperM3(trace, bait), 0)
  const volumeM3 = hookKg / DENSITY_KG_PER_M3.steel + baitM3
  const massKg = hookKg + baitKg
  return { id: hook.id, massKg, densityKgperM3: massKg / volumeM3, dragCoefficient: 0, fallAreaM2: 0, shape: 'ball' }
}

/** Drag coefficient times area in the stream of all baits, and of lures but the one that takes the line down, m². Nominal. */
export function baitAreaM2(rig: Weighed): number {
  const bodies = rig.trace.pieces.filter(isBody)
  const weightId = bodies.some(({ role }) => role === 'lure') ? weightOf(rig)?.id : undefined
  return bodies.reduce((sum, body) => sum + (body.id === weightId ? 0 : streamAreaM2(rig, body)), 0)
}

/** The same as they are drawn down, end on, m². Nominal. */
export const baitFallAreaM2 = (of: Weighed) => END_ON_SHARE * baitAreaM2(of)

/** Hold of a weight on the bed over its weight in water. Nominal. */
export const nominalGrip = ({ catalogue, weight, water }: Settling) => gripOf(catalogue, weight.shape, water.bed)

/** How a weight bears the pull on it: by its grip on the bed, and, with wires that hold, by what they bear whatever it weighs. */
export type Hold = { grip: number; breakOutN: number }

/**
 * What a grip means for a kind of hold from the shore. Of a wired lead it says how well the wires hold against the nominal; its body
 * grips like plain lead.
 */
export function shoreHoldOf({ catalogue, water: { bed } }: Settling, grip: number, kind: HoldKind): Hold {
  if (kind !== 'wired') return { grip, breakOutN: 0 }
  const { medians, breakOutN } = catalogue.grip
  return { grip: medians.plain[bed], breakOutN: (breakOutN[bed] * grip) / medians.wired[bed] }
}
