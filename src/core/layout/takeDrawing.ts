import type { Catalogue } from '../catalogue/catalogue.ts'
import { buriedM } from '../catalogue/hookSuggest.ts'
import { hookDimensions } from '../catalogue/hooks.ts'
import type { BaitForm } from '../catalogue/ids.ts'
import type { Baited } from '../setup/baiting.ts'
import { hookStep, parseHookSize } from '../units/hookSize.ts'
import { type HookOutline, hookOutline } from './hookOutline.ts'

/** A bait and its hooks in side view, mm: the bait lies along x, the hooks' shanks on x itself, their points below. */
export type TakeDrawing = {
  bait: { form: BaitForm; x: number; y: number; lengthMm: number; depthMm: number }
  hooks: { id: string; x: number; outline: HookOutline }[]
  /** From the last hook’s bend to the tail, and how much there may be. */
  tailMm: number
  roomMm: number
  /** The hook of the bait in the next size down and up, at the same eye. */
  ghosts: { size: string; x: number; outline: HookOutline }[]
  /** Below the bait's edge in the gap of its own hook: what stays free. */
  free: { x: number; from: number; to: number }
  box: { x: number; y: number; width: number; height: number }
}

const MM = 1000
const MARGIN_MM = 4

/**
 * The bait lies in the gap of its hooks by what their rigging buries of it: its lower edge is that far below the inside of the shank.
 * The bend of the last hook is as far from the bait's tail as it is said to be, else as the first one's eye from its head.
 */
export function takeDrawing(catalogue: Catalogue, baited: Baited): TakeDrawing {
  const { hook, dimensions, hooks, body, wanted, gang, bait } = baited
  const own = hookOutline(catalogue, hook.pattern, dimensions)
  const [lengthMm, depthMm] = [body.lengthM * MM, body.depthM * MM]
  const stepMm = gang ? (gang.pitchM + gang.linkM) * MM : 0
  const spanMm = (hooks.length - 1) * stepMm + own.lengthMm
  // The bend of the last hook lies so far from the tail as is said, as long as all hooks stay in a bait that holds them.
  const roomMm = Math.max(0, lengthMm - spanMm)
  const tailMm = bait.tailM === undefined ? (lengthMm - spanMm) / 2 : Math.min(roomMm, bait.tailM * MM)
  const first = lengthMm - tailMm - spanMm
  const placed = hooks.map((each, i) => {
    const its = hookDimensions(catalogue, each.pattern, each.size, each) ?? dimensions
    return { id: each.id, x: first + i * stepMm, outline: hookOutline(catalogue, each.pattern, its) }
  })
  const last = placed.at(-1)!
  const edgeY = own.shankY + buriedM(catalogue, hook.pattern, wanted) * MM
  const ghosts = besides(catalogue, hook.size).flatMap((size) => {
    const its = hookDimensions(catalogue, hook.pattern, size)
    return its ? [{ size, x: last.x, outline: hookOutline(catalogue, hook.pattern, its) }] : []
  })
  const outlines = [...placed, ...ghosts]
  const left = Math.min(0, ...outlines.map(({ x, outline }) => x - 2 * outline.eyeMm - outline.wireMm)) - MARGIN_MM
  const right = Math.max(lengthMm, ...outlines.map(({ x, outline }) => x + outline.lengthMm)) + MARGIN_MM
  const top = Math.min(edgeY - depthMm, -own.eyeMm - own.wireMm) - MARGIN_MM
  const bottom = Math.max(edgeY, ...outlines.map(({ outline }) => outline.bottomMm)) + MARGIN_MM
  return {
    tailMm: Math.max(0, tailMm),
    roomMm,
    bait: { form: body.form, x: 0, y: edgeY - depthMm, lengthMm, depthMm },
    hooks: placed,
    ghosts,
    free: { x: last.x + own.pointX, from: edgeY, to: own.pointY },
    box: { x: left, y: top, width: right - left, height: bottom - top },
  }
}

/** The sizes on offer next to one. */
function besides({ hooks: { sizes } }: Catalogue, size: string): string[] {
  const parsed = parseHookSize(size)
  if (!parsed.ok) return []
  const steps = sizes.map((each) => ({ each, step: hookStep(each) }))
  const smaller = steps.findLast(({ step }) => step < parsed.size.step)
  const larger = steps.find(({ step }) => step > parsed.size.step)
  return [smaller, larger].flatMap((row) => (row ? [row.each] : []))
}
