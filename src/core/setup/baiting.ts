import type { Catalogue } from '../catalogue/catalogue.ts'
import { type BaitRig, type HookWanted, MIN_GAPE_OF_MOUTH } from '../catalogue/hookSuggest.ts'
import { type HookDimensions, hookDimensions } from '../catalogue/hooks.ts'
import { type BaitForm, RIGGING_IDS, type Rigging } from '../catalogue/ids.ts'
import { hungFrom, parentId, pieceById } from '../documents/pieces.ts'
import type { HookPiece, Trace } from '../documents/trace.ts'
import { BAIT_DENSITY_KG_PER_M3 } from '../math/constants.ts'
import { hookGang } from '../physics/hooking/hookGang.ts'
import { alongM, lineAlongM, type PathElement } from '../soundness/paths.ts'
import { type Body, isBody } from './bodies.ts'
import { fishingModeOf } from './fishingMode.ts'
import { massOfKg } from './masses.ts'
import type { PreparedSetup } from './prepareSetup.ts'

/** Length over depth of a soft lure that nobody measured. Nominal, ours. */
const SOFT_LURE_SLIMNESS = 8

/** A bait or soft lure as it is on its hook, in m and kg. */
export type BaitBody = { form: BaitForm; lengthM: number; depthM: number; massKg: number; alive: boolean }

/** A hook with what is on it, and the other hooks that hold the same bait. */
export type Baited = {
  hook: HookPiece
  dimensions: HookDimensions
  bait: Body
  body: BaitBody
  /** Of all hooks in the bait, the bait's own last; one alone is a `single`. */
  hooks: HookPiece[]
  wanted: Omit<HookWanted, 'pattern'>
  /** From the first hook's eye to the last one's bend, over the bait's length; of hooks that hold it together. */
  gang?: { spanM: number; coverage: number; pitchM: number; linkM: number; betweenM: number }
}

type Baitable = Pick<PreparedSetup, 'trace' | 'catalogue' | 'tracePath' | 'conditions'>

/** Every hook with a bait or a soft lure on it. */
export function baitedHooks(setup: Baitable): Baited[] {
  const { trace, catalogue } = setup
  return trace.pieces.filter(isBody).flatMap((bait): Baited[] => {
    const hook = pieceById(trace, parentId(bait.attach))
    if (hook?.role !== 'hook') return []
    const bare = hookDimensions(catalogue, hook.pattern, hook.size, hook)
    if (!bare) return []
    // A live bait bears the head too.
    const dimensions = { ...bare, massKg: massOfKg(catalogue, hook) }
    const body = bodyOn(trace, catalogue, bait)
    const hooks = hooksIn(setup, hook)
    const rig: BaitRig = hooks.length === 1 ? 'single' : hooks.length === 2 ? 'tandem' : 'chain'
    const rigging = riggingOf(catalogue, body, bait.rigging)
    const wanted = {
      form: body.form,
      baitLengthM: body.lengthM,
      baitDepthM: body.depthM,
      baitMassKg: body.massKg,
      alive: body.alive,
      rig,
      riggedShare: rigging && catalogue.riggings[rigging].buried,
      loadN: setup.conditions.dragN,
      mouthWidthM: setup.conditions.mouthWidthM,
      // A live bait bears no larger a hook than its mass allows.
      leastGapeM: body.alive ? undefined : MIN_GAPE_OF_MOUTH * (setup.conditions.mouthWidthM ?? 0),
    }
    const gang = hooks.length > 1 ? gangOf(setup, hooks, dimensions.pitchM, body.lengthM) : undefined
    return [{ hook, dimensions, bait, body, hooks, wanted, ...(gang ? { gang } : {}) }]
  })
}

/** How a bait may be put on: a live one by its skin, a soft lure weedless, any other through or along. */
export const riggingsFor = ({ riggings }: Catalogue, { form, alive }: Pick<BaitBody, 'form' | 'alive'>): Rigging[] =>
  RIGGING_IDS.filter((id) => riggings[id].of === (form === 'soft' ? 'soft' : alive ? 'live' : 'dead'))

/** The way it is put on, where that is one for it. */
export const riggingOf = (
  catalogue: Catalogue,
  body: Pick<BaitBody, 'form' | 'alive'>,
  id: Rigging | undefined,
): Rigging | undefined => (id !== undefined && riggingsFor(catalogue, body).includes(id) ? id : undefined)

/** A bait as measured, else as it usually is; what weighs more is longer and deeper. Alive where that is said, else where its end swims or hangs; only what may be. */
export function bodyOn(trace: Trace, catalogue: Catalogue, bait: Body): BaitBody {
  const massKg = massOfKg(catalogue, bait)
  if (bait.role === 'lure') {
    const depthM = Math.cbrt((6 * massKg) / (Math.PI * SOFT_LURE_SLIMNESS * BAIT_DENSITY_KG_PER_M3))
    return {
      form: 'soft',
      massKg,
      alive: false,
      depthM: bait.depthM ?? depthM,
      lengthM: bait.lengthM ?? SOFT_LURE_SLIMNESS * depthM,
    }
  }
  const usual = catalogue.baits[bait.bait]
  const grown = Math.cbrt(massKg / usual.massKg)
  return {
    form: usual.form,
    massKg,
    alive: catalogue.baitForms[usual.form].live && (bait.alive ?? ['swims', 'hangs'].includes(fishingModeOf(trace) ?? '')),
    lengthM: bait.lengthM ?? usual.lengthM * grown,
    depthM: bait.depthM ?? usual.depthM * grown,
  }
}

/** The hooks that hold one bait: those on the way to its own hook below the last part that is no hook, and on the lines there. */
function hooksIn({ trace, tracePath }: Baitable, hook: HookPiece): HookPiece[] {
  const found: HookPiece[] = []
  const path = tracePath(hook.id).toReversed()
  for (const [i, element] of path.entries()) {
    if (element.kind === 'part' && element.piece.role !== 'hook' && !linksHooks(path, i)) break
    if (element.kind === 'part' && element.piece.role === 'hook') found.unshift(element.piece)
    if (element.kind === 'line')
      found.unshift(
        ...hungFrom(trace, element.line.id).filter(
          (piece): piece is HookPiece => piece.role === 'hook' && !found.includes(piece) && bareOf(trace, piece),
        ),
      )
  }
  return found.includes(hook) ? found : [...found, hook]
}

/** Line beside a swivel that still links two hooks in one bait, m. Ours. */
const LINK_M = 0.15

/** A swivel or ring between two hooks: the next part above it is a hook, over no more than a short piece of line. */
function linksHooks(upwards: readonly PathElement[], at: number): boolean {
  const part = upwards[at]
  if (part?.kind !== 'part' || part.piece.role !== 'hardware' || !LINKS.includes(part.piece.type)) return false
  let lineM = 0
  for (const element of upwards.slice(at + 1)) {
    if (element.kind === 'part') return element.piece.role === 'hook' && lineM <= LINK_M
    lineM += alongM(element)
  }
  return false
}

const LINKS: readonly string[] = ['swivel', 'rollingSwivel', 'ballBearingSwivel', 'splitRing', 'solidRing', 'eyedWire']

/** A hook without a bait of its own. */
const bareOf = (trace: Trace, hook: HookPiece) => !hungFrom(trace, hook.id).some(isBody)

/** How far along the way to the last hook another one sits, m: on a line where it rides, else where its own piece is. */
function placeM(path: readonly PathElement[], { id, attach }: HookPiece): number {
  let soFarM = 0
  for (const element of path) {
    if (element.id === id) return soFarM
    if (element.kind !== 'line') continue
    const rides = attach.how !== 'joined' && attach.how !== 'through' && attach.on === element.line.id
    if (rides && attach.atM >= element.fromM && attach.atM <= element.toM) return soFarM + attach.atM - element.fromM
    soFarM += alongM(element)
  }
  return soFarM
}

/** Hooks in a row as `hook.gang` counts them: the line between the outer ones shared over the links. */
function gangOf({ tracePath }: Baitable, hooks: readonly HookPiece[], pitchM: number, baitLengthM: number) {
  const [first, last] = [hooks[0]!, hooks.at(-1)!]
  const betweenM = Math.max(0, lineAlongM(tracePath(last.id)) - placeM(tracePath(last.id), first))
  const count = hooks.length
  // Eye to eye is a hook and the link after it.
  const linkM = Math.max(0, betweenM / (count - 1) - (first === last ? 0 : pitchM))
  return { ...hookGang({ baitLengthM, hookPitchM: pitchM, linkLengthM: linkM, count }), pitchM, linkM, betweenM }
}
