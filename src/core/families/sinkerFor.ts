import type { SinkerShape } from '../catalogue/ids.ts'
import { mostCastKg } from '../catalogue/rods.ts'
import type { Piece, Trace } from '../documents/trace.ts'
import { withPiece } from '../edit/changes.ts'
import { judge } from '../moments/judge.ts'
import { flyingMassKg } from '../setup/masses.ts'
import type { Owned } from '../setup/owned.ts'
import type { Setup } from '../setup/setup.ts'

/** Lowered, a sinker has at least so much for each metre of depth, that it falls in good time, kg. Nominal, ours. */
const KG_PER_M = 0.002
/** Sinkers of a box that nobody listed come in steps of this, kg. */
const STEP_KG = 0.01

/**
 * The sinker that holds at the stream’s peak with the method’s reserve: of those at hand the least that does, from the shore no lighter
 * than usual, which would not load the rod, and no heavier than it casts; a wired one where plain lead would be.
 * @returns undefined where the trace is not meant to hold, or no weight holds.
 */
export function sinkerFor(
  setup: Setup,
  usualKg: number,
  sinkers: readonly Owned[] = [],
): { massKg: number; shape?: 'gripWire' } | undefined {
  const { outfit, conditions, trace, catalogue } = setup
  const plainKg = wantedKg(setup)
  if (plainKg === undefined) return undefined
  const plain = massesOf(sinkers, trace.pieces.find(isSinker)?.shape)
  if (conditions.castStyle === 'none')
    return { massKg: atHand(plain, Math.max(plainKg, KG_PER_M * (conditions.water?.depthM ?? 0))) }
  const rodKg = mostCastKg(outfit.rod)
  const mostKg = Math.max(rodKg - (flyingMassKg({ trace, catalogue }) - sunkKg(trace)), rodKg / 2)
  // Lighter than the rod is rated for it would not load it.
  const leastKg = Math.min(Math.max(usualKg, outfit.rod.castLowKg ?? 0), mostKg)
  const cast = (owned: readonly number[], kg: number) => Math.min(atHand(owned, Math.max(leastKg, kg)), heaviest(owned, mostKg))
  const { method, bed } = conditions.water ?? {}
  if (plainKg <= mostKg || method !== 'shore' || bed === 'rock') return { massKg: cast(plain, plainKg) }
  return { massKg: cast(massesOf(sinkers, 'gripWire'), wantedKg(withWires(setup)) ?? plainKg), shape: 'gripWire' }
}

/** The masses owned of a shape; of none of that shape, those of all. */
function massesOf(sinkers: readonly Owned[], shape: SinkerShape | undefined): number[] {
  const ofShape = sinkers.filter((each) => each.shape === shape)
  return (ofShape.length > 0 ? ofShape : sinkers).map(({ massKg }) => massKg)
}

/** The least at hand that is enough, or the heaviest; with none listed, in whole steps. */
const atHand = (ownedKg: readonly number[], kg: number) =>
  ownedKg.length > 0
    ? (ownedKg.toSorted((a, b) => a - b).find((massKg) => massKg >= kg) ?? Math.max(...ownedKg))
    : Math.ceil(kg / STEP_KG - 1e-9) * STEP_KG

const isSinker = (piece: Piece): piece is Extract<Piece, { role: 'sinker' }> => piece.role === 'sinker'

const sunkKg = (trace: Trace) => trace.pieces.reduce((sum, piece) => sum + (piece.role === 'sinker' ? piece.massKg : 0), 0)

/** The heaviest at hand up to a mass, else that mass in whole steps. */
const heaviest = (ownedKg: readonly number[], mostKg: number) =>
  ownedKg.filter((massKg) => massKg <= mostKg).toSorted((a, b) => b - a)[0] ?? Math.floor(mostKg / STEP_KG) * STEP_KG

/** What has to lie on the bed, the reserve included, kg. */
function wantedKg(setup: Setup): number | undefined {
  return judge(setup, ['settle']).moments.settle?.holding?.wantedKg
}

function withWires(setup: Setup): Setup {
  const ids = setup.trace.pieces.filter(({ role }) => role === 'sinker').map(({ id }) => id)
  const trace = ids.reduce(
    (made, id) => withPiece(made, id, (piece) => (piece.role === 'sinker' ? { ...piece, shape: 'gripWire' } : piece)),
    setup.trace,
  )
  return { ...setup, trace }
}
