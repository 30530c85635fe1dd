import type { Catalogue } from '../catalogue/catalogue.ts'
import { hookDimensions } from '../catalogue/hooks.ts'
import type { HookPattern } from '../catalogue/ids.ts'
import { type HookOutline, hookOutline } from './hookOutline.ts'

/** Hooks on a card in true size, mm: each size with every pattern beside it, in rows as wide as the card. */
export type HookCard = {
  widthMm: number
  heightMm: number
  hooks: { pattern: HookPattern; size: string; x: number; y: number; outline: HookOutline; labelY: number }[]
}

/** Room between hooks, and for a label under each, mm. */
const GAP_MM = 5
const LABEL_MM = 6

/** The sizes of some patterns side by side, those of one size together, so that they never part at the end of a row unless they must. */
export function hookCard(
  catalogue: Catalogue,
  patterns: readonly HookPattern[],
  sizes: readonly string[],
  widthMm: number,
): HookCard {
  const hooks: HookCard['hooks'] = []
  let [x, y, rowMm] = [GAP_MM, GAP_MM, 0]
  for (const size of sizes) {
    const group = patterns.flatMap((pattern) => {
      const dimensions = hookDimensions(catalogue, pattern, size)
      if (!dimensions) return []
      const outline = hookOutline(catalogue, pattern, dimensions)
      const leftMm = 2 * outline.eyeMm + outline.wireMm
      return [{ pattern, size, outline, leftMm, topMm: outline.eyeMm + outline.wireMm, wide: leftMm + outline.lengthMm }]
    })
    const wholeMm = group.reduce((sum, { wide }) => sum + wide + GAP_MM, 0)
    if (x > GAP_MM && x + wholeMm > widthMm) [x, y, rowMm] = [GAP_MM, y + rowMm + GAP_MM, 0]
    for (const { leftMm, topMm, wide, ...hook } of group) {
      if (x > GAP_MM && x + wide + GAP_MM > widthMm) [x, y, rowMm] = [GAP_MM, y + rowMm + GAP_MM, 0]
      const tallMm = topMm + hook.outline.bottomMm + LABEL_MM
      hooks.push({ ...hook, x: x + leftMm, y: y + topMm, labelY: y + tallMm - 1 })
      x += wide + GAP_MM
      rowMm = Math.max(rowMm, tallMm)
    }
  }
  // A hook wider than the card widens it.
  const rightMm = Math.max(0, ...hooks.map((hook) => hook.x + hook.outline.lengthMm + GAP_MM))
  return { widthMm: Math.max(widthMm, rightMm), heightMm: y + rowMm + GAP_MM, hooks }
}
