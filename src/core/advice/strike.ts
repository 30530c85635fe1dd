import type { Catalogue } from '../catalogue/catalogue.ts'
import { isCircle } from '../catalogue/hooks.ts'
import type { HookPattern } from '../catalogue/ids.ts'
import { hungFrom } from '../documents/pieces.ts'
import type { Trace } from '../documents/trace.ts'
import { bodyOn } from '../setup/baiting.ts'
import { isBody } from '../setup/bodies.ts'

/** How to strike with a hook: what hand and rod do, and what that asks of a guest. Source: the craft. */
export function strikeWords(pattern: HookPattern, alive: boolean): string {
  if (isCircle(pattern))
    return 'Do not strike: let the line come tight and the rod load, then wind on steadily. A guest keeps the rod low and winds.'
  if (pattern === 'treble') return 'A short, quick lift as it is felt, and wind: the points find hold by themselves.'
  return alive
    ? 'Give it the time to turn the bait, wind down till it is felt, then one firm lift.'
    : 'Wind down till the fish is felt, then one firm lift; no second one.'
}

/** How to strike with each kind of hook of a trace, each said once. */
export function strikesOf(trace: Trace, catalogue: Catalogue): string[] {
  const said = trace.pieces.flatMap((hook) => {
    if (hook.role !== 'hook') return []
    const bait = hungFrom(trace, hook.id).find(isBody)
    return [strikeWords(hook.pattern, bait !== undefined && bodyOn(trace, catalogue, bait).alive)]
  })
  return [...new Set(said)]
}
