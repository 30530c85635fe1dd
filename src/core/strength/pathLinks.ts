import { CoreError } from '../errors.ts'
import { connectionOf } from '../gear/connections.ts'
import { hardwareOf, hardwareStrengthN } from '../gear/hardware.ts'
import { HOOK_SPREAD, hookDimensions, straighteningLoadN } from '../gear/hooks.ts'
import { LINE_SPREAD, MATERIALS, type Material } from '../gear/materials.ts'
import type { WoundLine } from '../trace/outfit.ts'
import type { PathElement } from '../trace/paths.ts'
import { type HookPiece, type Joint, jointId, OUTFIT, type Piece } from '../trace/schema.ts'
import { type ChainElement, strengthChain } from './chain.ts'

/** A link of a path with its effective strength, its spread, and where the joint's figure comes from. */
export type Link = {
  id: string
  kind: 'line' | 'joint' | 'part'
  strengthN: number
  variation: number
  governedBy: 'self' | 'above' | 'below'
  /** Nominal tables, or the angler's own figure. */
  basis: 'nominal' | 'own'
}

type Entry = { element: ChainElement; kind: Link['kind']; variation: number; basis: Link['basis']; again: boolean }

/** Spread of a lure's own strength (its rings and hooks). Nominal. */
const LURE_SPREAD = 0.08

/**
 * Effective strength and spread of every link from the outfit's lines to an end.
 * @param wound the outfit's lines that bear the pull, from the lowest; empty where the path begins at the trace.
 * @param path the trace's own links; its first joint is left out when `wound` is empty and it hangs from the outfit.
 * @param wet whether nylon counts its wet strength.
 * @returns links in order; a line that is passed again beyond a knot in it counts once.
 */
export function pathLinks(wound: readonly WoundLine[], path: readonly PathElement[], wet: boolean): Link[] {
  const entries = entriesOf(wound, path, wet)
  const chain = strengthChain(entries.map(({ element }) => element))
  return entries.flatMap((entry, i): Link[] => {
    if (entry.again) return []
    const { id, strengthN, governedBy } = chain.links[i]!
    return [{ id, kind: entry.kind, strengthN, variation: entry.variation, governedBy, basis: entry.basis }]
  })
}

/** The same path as what `strength.chain` is asked. */
export function chainElements(wound: readonly WoundLine[], path: readonly PathElement[], wet: boolean): ChainElement[] {
  return entriesOf(wound, path, wet).map(({ element }) => element)
}

const entriesOf = (wound: readonly WoundLine[], path: readonly PathElement[], wet: boolean): Entry[] => [
  ...woundEntries(wound, wet),
  ...path.flatMap((element, i) => traceEntry(element, i, path, wound, wet)),
]

function woundEntries(wound: readonly WoundLine[], wet: boolean): Entry[] {
  return wound.flatMap((line, i): Entry[] => {
    const under = wound[i - 1]
    const entry = lineEntry(line.role, line, 1, wet, false)
    if (!under || !line.joint) return [entry]
    return [jointEntry(jointId(line.role), line.joint, under.material, line.material), entry]
  })
}

function traceEntry(
  element: PathElement,
  i: number,
  path: readonly PathElement[],
  wound: readonly WoundLine[],
  wet: boolean,
): Entry[] {
  if (element.kind === 'line')
    return [lineEntry(element.id, element.line, element.line.role === 'double' ? 2 : 1, wet, element.again)]
  if (element.kind === 'part') return partEntry(element.piece)
  const above = path[i - 1]
  const below = path[i + 1]
  const tiedAbove =
    above === undefined
      ? element.ties.includes(OUTFIT)
        ? wound.at(-1)?.material
        : undefined
      : materialIfTied(above, element.ties)
  return [jointEntry(element.id, element.joint, tiedAbove, below && materialIfTied(below, element.ties))]
}

function materialIfTied(element: PathElement, ties: readonly string[]): Material | undefined {
  return element.kind === 'line' && ties.includes(element.id) ? element.line.material : undefined
}

type AnyLine = { material: Material; strengthN: number; condition?: number | undefined }

function lineEntry(id: string, line: AnyLine, strands: number, wet: boolean, again: boolean): Entry {
  const condition = (line.condition ?? 1) * (wet ? MATERIALS[line.material].wetCondition : 1)
  const element: ChainElement = { type: 'line', id, strengthN: line.strengthN, strands, condition }
  return { element, kind: 'line', variation: LINE_SPREAD, basis: 'nominal', again }
}

function jointEntry(id: string, joint: Joint, above: Material | undefined, below: Material | undefined): Entry {
  const element: ChainElement = {
    type: 'joint',
    id,
    efficiencyAbove: efficiencyIn(joint, above),
    efficiencyBelow: efficiencyIn(joint, below),
  }
  const basis = joint.efficiency === undefined ? 'nominal' : 'own'
  return { element, kind: 'joint', variation: connectionOf(joint.connection).spread, basis, again: false }
}

/** A side that the joint is not tied in takes nothing from a line that happens to be next. */
function efficiencyIn(joint: Joint, material: Material | undefined): number {
  if (material === undefined) return 1
  const efficiency = joint.efficiency ?? connectionOf(joint.connection).efficiency[material]
  if (efficiency === undefined)
    throw new CoreError('out-of-range', `${connectionOf(joint.connection).name} is not tied in ${material}`, { value: material })
  return efficiency
}

/** Parts that carry no pull of their own (a bead, a bait, the sinker's body) make no link. */
function partEntry(piece: PathPart): Entry[] {
  const strengthN = partStrengthN(piece)
  if (strengthN === undefined) return []
  const variation = piece.role === 'hardware' ? hardwareOf(piece.type).spread : piece.role === 'hook' ? HOOK_SPREAD : LURE_SPREAD
  return [{ element: { type: 'hardware', id: piece.id, strengthN }, kind: 'part', variation, basis: 'nominal', again: false }]
}

type PathPart = Extract<PathElement, { kind: 'part' }>['piece']

/** Strength of a part as it is, N; undefined where it carries no pull of its own. */
function partStrengthN(piece: Piece): number | undefined {
  if (piece.role === 'hook') return hookStraightensN(piece)
  if (piece.role === 'lure') return piece.strengthN
  if (piece.role !== 'hardware') return undefined
  return piece.strengthN ?? (piece.size === undefined ? undefined : hardwareStrengthN(piece.type, piece.size))
}

function hookStraightensN(hook: HookPiece): number | undefined {
  const nominal = hookDimensions(hook.pattern, hook.size)
  if (!nominal) return undefined
  return straighteningLoadN(hook.wireM ?? nominal.wireM, hook.gapeM ?? nominal.gapeM)
}
