import { isCircle } from '../catalogue/hooks.ts'
import type { HookPattern } from '../catalogue/ids.ts'

/** How to strike with a hook: what hand and rod do, and what that asks of a guest. Source: the craft. */
export function strikeWords(pattern: HookPattern, alive: boolean): string {
  if (isCircle(pattern))
    return 'Do not strike: let the line come tight and the rod load, then wind on steadily. A guest keeps the rod low and winds.'
  if (pattern === 'treble') return 'A short, quick lift as it is felt, and wind: the points find hold by themselves.'
  return alive
    ? 'Give it the time to turn the bait, wind down till it is felt, then one firm lift.'
    : 'Wind down till the fish is felt, then one firm lift; no second one.'
}
