import { judged } from '../analysis/judged.ts'
import { type Catalogue, withOwn } from '../catalogue/catalogue.ts'
import type { ConnectionId, Material } from '../catalogue/ids.ts'
import type { Pull } from '../documents/observation.ts'
import { isTied, jointOf } from '../documents/pieces.ts'
import { linesBeside } from '../joints/connectionRules.ts'
import { resultsOf } from '../moments/judge.ts'
import { VERDICT_RANK } from '../moments/moment.ts'
import { testedEfficiency } from '../physics/strength/testedEfficiency.ts'
import type { Setup } from '../setup/setup.ts'
import { testsOf } from './knotLessons.ts'

/** A connection in a material whose strength is not known well: what hangs on it. */
export type WorthTesting = {
  connection: ConnectionId
  material: Material
  low: number
  high: number
  /** Traces that it is tied in, those of them with a verdict that depends on where in its interval it lies, and by how much margins do. */
  tiedIn: number
  verdictsMoved: number
  marginMoved: number
}

export type TestNext = { setups: readonly Setup[]; pulls: readonly Pull[] }

/**
 * What to pull next: of every connection in every material that the traces are tied with, how far their verdicts and margins move from
 * the low to the high end of what is thought of it; those that move most first.
 */
export function testNext({ setups, pulls }: TestNext, onProgress: (share: number) => void = () => {}): WorthTesting[] {
  const used = new Map<string, { connection: ConnectionId; material: Material; setups: Set<Setup> }>()
  for (const setup of setups)
    for (const piece of setup.trace.pieces) {
      const joint = jointOf(piece)
      if (!joint || !isTied(joint) || joint.own) continue
      for (const { material } of linesBeside(piece, setup)) {
        const key = `${joint.connection} ${material}`
        const pair = used.get(key) ?? { connection: joint.connection, material, setups: new Set<Setup>() }
        pair.setups.add(setup)
        used.set(key, pair)
      }
    }
  const pairs = [...used.values()]
  const found = pairs.flatMap(({ connection, material, setups: tied }, i): WorthTesting[] => {
    onProgress(i / pairs.length)
    const [first] = tied
    const tests = first && testsOf(first.catalogue, pulls, connection, material)
    if (!tests) return []
    const { low, high, variation } = testedEfficiency(tests)
    let [verdictsMoved, marginMoved] = [0, 0]
    for (const setup of tied) {
      const at = (mean: number) =>
        judgedWith(setup, withOwn(setup.catalogue, [{ connection, material, mean, spread: variation, tests: 0 }]))
      const [weak, strong] = [at(Math.max(0.01, low)), at(Math.min(1, high))]
      if (weak.ranks !== strong.ranks) verdictsMoved += 1
      marginMoved += Math.abs(strong.margin - weak.margin)
    }
    return [{ connection, material, low, high, tiedIn: tied.size, verdictsMoved, marginMoved }]
  })
  return found.toSorted((a, b) => b.verdictsMoved - a.verdictsMoved || b.marginMoved - a.marginMoved)
}

/** Every moment’s verdict as one text, and the sum of their margins. */
function judgedWith(setup: Setup, catalogue: Catalogue): { ranks: string; margin: number } {
  const result = judged({ ...setup, catalogue })
  if (!result.ok) return { ranks: 'fails', margin: 0 }
  const results = resultsOf(result.value)
  return {
    ranks: results.map(({ verdict }) => VERDICT_RANK[verdict]).join(),
    margin: results.reduce((sum, { margin }) => sum + margin, 0),
  }
}
