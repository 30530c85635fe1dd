import { chainElements } from '../setup/pathLinks.ts'
import type { PreparedSetup } from '../setup/prepareSetup.ts'
import type { CalculationRequest } from './moment.ts'

/** The chain from the reel to an end, as `strength.chain` is asked of it. */
export function chainRequest({ out, tracePath, conditions, catalogue }: PreparedSetup, end: string): CalculationRequest {
  const wound = out.map(({ line }) => line)
  const path = chainElements({ catalogue, wound, conditions }, tracePath(end))
  return { calculation: 'strength.chain', input: { path }, from: { path: 'nominal' } }
}
