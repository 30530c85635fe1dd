import { isCircle } from '../catalogue/hooks.ts'
import type { HookPattern, Material } from '../catalogue/ids.ts'
import { hookPieces, hungFrom } from '../documents/pieces.ts'
import { mainLine } from '../outfits/outfitLines.ts'
import { bodyOn } from '../setup/baiting.ts'
import { isBody } from '../setup/bodies.ts'
import type { Setup } from '../setup/setup.ts'

/** How to strike with a hook: what hand and rod do, and what that asks of a guest. Source: the craft. */
export function strikeWords(pattern: HookPattern, alive: boolean, line?: StruckThrough): string {
  const how = howToStrike(pattern, alive)
  return line && !isCircle(pattern) ? `${how} ${lineWords(line)}` : how
}

/** The line that a strike goes through, and how many times the drag opens the hook. */
export type StruckThrough = { material: Material; outM: number; opensAt?: number | undefined }

/** From this much of it out, m, line that stretches swallows a short lift; under this margin a hard one may open the wire. Ours. */
const GIVES_FROM_M = 40
const SOFT_WIRE = 2

function lineWords({ material, outM, opensAt = Number.POSITIVE_INFINITY }: StruckThrough): string {
  const stiff = material === 'braid' || material === 'wire' || material === 'cable'
  if (opensAt < SOFT_WIRE) return 'The wire is thin for this drag. Lift, do not jerk.'
  if (stiff) return 'Braid does not stretch. Keep it short.'
  return outM >= GIVES_FROM_M ? 'This much line stretches. Sweep the rod far back.' : 'At this range a short lift is enough.'
}

function howToStrike(pattern: HookPattern, alive: boolean): string {
  if (isCircle(pattern))
    return 'Do not strike. Let the line come tight and the rod load, then wind steadily. A guest keeps the rod low and winds.'
  if (pattern === 'treble') return 'Lift quickly and wind when you feel it. The points hook it.'
  return alive
    ? 'Give it time to turn the bait. Wind until you feel it, then lift firmly once.'
    : 'Wind until you feel the fish, then lift firmly once.'
}

/** How to strike with each kind of hook of a trace, each said once. */
export function strikesOf({ trace, outfit, conditions, catalogue }: Setup): string[] {
  const said = hookPieces(trace).map((hook) => {
    const bait = hungFrom(trace, hook.id).find(isBody)
    const line = { material: mainLine(outfit).material, outM: conditions.lineOutM }
    return strikeWords(hook.pattern, bait !== undefined && bodyOn(trace, catalogue, bait).alive, line)
  })
  return [...new Set(said)]
}
