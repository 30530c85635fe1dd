import { bestCast } from '../catalogue/rods.ts'
import { withPiece } from '../edit/changes.ts'
import { judge } from '../moments/judge.ts'
import type { Setup } from '../setup/setup.ts'

/** What a rod casts at most over what it throws best, where its rating does not say. Nominal, ours. */
const MOST_OVER_BEST = 1.3
/** Sinkers of a box that nobody listed come in steps of this, kg. */
const STEP_KG = 0.01

/**
 * The sinker that holds at the stream’s peak with the method’s reserve: of those at hand the least that does, from the shore no lighter
 * than usual, which the rod would not throw; a wired one where plain lead would be more than the rod casts.
 * @returns undefined where the trace is not meant to hold, or no weight holds.
 */
export function sinkerFor(
  setup: Setup,
  usualKg: number,
  sinkersKg: readonly number[] = [],
): { massKg: number; shape?: 'gripWire' } | undefined {
  const { outfit, conditions } = setup
  const plainKg = wantedKg(setup)
  if (plainKg === undefined) return undefined
  const isCast = conditions.castStyle !== 'none'
  const leastKg = isCast ? usualKg : 0
  const mostKg = isCast ? (outfit.rod.castHighKg ?? MOST_OVER_BEST * bestCast(outfit.rod).massKg) : Number.POSITIVE_INFINITY
  const atHand = (kg: number) =>
    sinkersKg.toSorted((a, b) => a - b).find((massKg) => massKg >= kg) ?? Math.ceil(kg / STEP_KG - 1e-9) * STEP_KG
  const massKg = atHand(Math.max(leastKg, plainKg))
  if (massKg <= mostKg || conditions.water?.method !== 'shore' || conditions.water.bed === 'rock') return { massKg }
  const wiredKg = wantedKg(withWires(setup))
  return wiredKg === undefined ? { massKg } : { massKg: atHand(Math.max(leastKg, wiredKg)), shape: 'gripWire' }
}

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
