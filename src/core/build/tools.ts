import { jointOf } from '../documents/pieces.ts'
import type { Trace } from '../documents/trace.ts'

/** Tools of the tying table. */
export type Tool =
  | 'cutter'
  | 'tape'
  | 'crimpingPliers'
  | 'wireCutters'
  | 'splicingNeedle'
  | 'bobbin'
  | 'splitRingPliers'
  | 'baitNeedle'

/** What a trace is built with, from its lines, its connections and how its baits are put on. */
export function toolsFor({ pieces }: Trace): Tool[] {
  const connections = pieces.flatMap((piece) => jointOf(piece)?.connection ?? [])
  const needs: Record<Tool, boolean> = {
    cutter: true,
    tape: true,
    crimpingPliers:
      connections.includes('crimpLoop') || pieces.some((piece) => piece.role === 'hardware' && piece.type === 'crimp'),
    wireCutters: pieces.some((piece) => 'material' in piece && (piece.material === 'wire' || piece.material === 'cable')),
    splicingNeedle: connections.includes('splice'),
    bobbin: connections.includes('pr'),
    splitRingPliers: pieces.some((piece) => piece.role === 'hardware' && piece.type === 'splitRing'),
    baitNeedle: pieces.some(
      (piece) => piece.role === 'bait' && piece.rigging !== undefined && ['bridled', 'stitched', 'bound'].includes(piece.rigging),
    ),
  }
  return (Object.keys(needs) as Tool[]).filter((tool) => needs[tool])
}
