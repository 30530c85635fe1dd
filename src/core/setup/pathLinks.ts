import { type Catalogue, efficiencyOf, type Measured } from '../catalogue/catalogue.ts'
import { hardwareStrengthN } from '../catalogue/hardware.ts'
import { HOOK_SPREAD, hookDimensions, straighteningLoadN } from '../catalogue/hooks.ts'
import type { Material } from '../catalogue/ids.ts'
import { LINE_SPREAD } from '../catalogue/materials.ts'
import type { Joint } from '../documents/fields.ts'
import { type LinkRef, linkKey, pieceRef, woundRef } from '../documents/linkRef.ts'
import type { WoundLine } from '../documents/outfit.ts'
import type { HookPiece, Piece } from '../documents/trace.ts'
import { OUTFIT } from '../documents/vocabulary.ts'
import { CoreError } from '../errors.ts'
import { type ChainElement, strengthChain } from '../physics/strength/chain.ts'
import type { PathElement } from './paths.ts'

/** A link of a path with its effective strength, its spread, and where its figure comes from. */
export type Link = {
  /** `linkKey` of its reference. */
  id: string
  ref: LinkRef
  kind: 'line' | 'joint' | 'part'
  strengthN: number
  variation: number
  governedBy: 'self' | 'above' | 'below'
  origin: Measured['origin']
}

type Entry = Pick<Link, 'ref' | 'kind' | 'origin'> & {
  element: ChainElement
  /** Of the link itself, or of a joint by the side of it that governs. */
  variation: number | { above: number; below: number }
  /** A line that is passed again beyond a knot in it counts once. */
  again: boolean
}

/** Spread of a lure's own strength (its rings and hooks). Nominal. */
const LURE_SPREAD = 0.08

/** What bears a pull from the outfit's lines to an end: `wound` from the lowest, empty where the path begins at the trace. */
export type PathBearing = { catalogue: Catalogue; wound: readonly WoundLine[]; path: readonly PathElement[]; wet: boolean }

/** Effective strength and spread of every link from the outfit's lines to an end, in order. */
export function pathLinks(bearing: PathBearing): Link[] {
  const entries = entriesOf(bearing)
  const chain = strengthChain(entries.map(({ element }) => element))
  return entries.flatMap(({ again, ref, kind, origin, variation }, i): Link[] => {
    const found = chain.links[i]
    if (again || !found) return []
    const { id, strengthN, governedBy } = found
    const spread = typeof variation === 'number' ? variation : governedBy === 'below' ? variation.below : variation.above
    return [{ id, ref, kind, strengthN, variation: spread, governedBy, origin }]
  })
}

/** The same path as what `strength.chain` is asked. */
export const chainElements = (bearing: PathBearing): ChainElement[] => entriesOf(bearing).map(({ element }) => element)

const entriesOf = (bearing: PathBearing): Entry[] => [
  ...woundEntries(bearing),
  ...bearing.path.flatMap((element, i) => traceEntry(element, i, bearing)),
]

function woundEntries({ catalogue, wound, wet }: PathBearing): Entry[] {
  return wound.flatMap((line, i): Entry[] => {
    const under = wound[i - 1]
    const entry = lineEntry(catalogue, woundRef(line.role), line, { strands: 1, wet, again: false })
    if (!under || !line.joint) return [entry]
    return [jointEntry(catalogue, { at: 'woundJoint', role: line.role }, line.joint, under.material, line.material), entry]
  })
}

function traceEntry(element: PathElement, i: number, { catalogue, path, wound, wet }: PathBearing): Entry[] {
  if (element.kind === 'line') {
    const { line, again, ref } = element
    return [lineEntry(catalogue, ref, line, { strands: line.role === 'double' ? 2 : 1, wet, again })]
  }
  if (element.kind === 'part') return partEntry(catalogue, element.piece)
  const [above, below] = [path[i - 1], path[i + 1]]
  const outfitLine = element.ties.includes(OUTFIT) ? wound.at(-1)?.material : undefined
  const tiedAbove = above === undefined ? outfitLine : materialIfTied(above, element.ties)
  return [jointEntry(catalogue, element.ref, element.joint, tiedAbove, below && materialIfTied(below, element.ties))]
}

function materialIfTied(element: PathElement, ties: readonly string[]): Material | undefined {
  return element.kind === 'line' && ties.includes(element.id) ? element.line.material : undefined
}

type AnyLine = { material: Material; strengthN: number; condition?: number | undefined }

function lineEntry(
  { materials }: Catalogue,
  ref: LinkRef,
  line: AnyLine,
  { strands, wet, again }: { strands: number; wet: boolean; again: boolean },
): Entry {
  const condition = (line.condition ?? 1) * (wet ? materials[line.material].wetCondition : 1)
  const element: ChainElement = { type: 'line', id: linkKey(ref), strengthN: line.strengthN, strands, condition }
  return { ref, element, kind: 'line', variation: LINE_SPREAD, origin: 'nominal', again }
}

/** A side that the joint is not tied in takes nothing from a line that happens to be next. */
function jointEntry(
  catalogue: Catalogue,
  ref: LinkRef,
  joint: Joint,
  above: Material | undefined,
  below: Material | undefined,
): Entry {
  const [onAbove, onBelow] = [figureIn(catalogue, joint, above), figureIn(catalogue, joint, below)]
  const element: ChainElement = {
    type: 'joint',
    id: linkKey(ref),
    efficiencyAbove: onAbove?.mean ?? 1,
    efficiencyBelow: onBelow?.mean ?? 1,
  }
  const { spread } = catalogue.connections[joint.connection]
  const variation = { above: onAbove?.spread ?? spread, below: onBelow?.spread ?? spread }
  const origin = [onAbove, onBelow].some((figure) => figure?.origin === 'own') ? 'own' : 'nominal'
  return { ref, element, kind: 'joint', variation, origin, again: false }
}

function figureIn(catalogue: Catalogue, joint: Joint, material: Material | undefined): Measured | undefined {
  if (material === undefined) return undefined
  const figure = efficiencyOf(catalogue, joint, material)
  if (figure === undefined)
    throw new CoreError('out-of-range', `${catalogue.connections[joint.connection].name} is not tied in ${material}`, {
      value: material,
    })
  return figure
}

type PathPart = Extract<PathElement, { kind: 'part' }>['piece']

/** Parts that carry no pull of their own (a bead, a bait, the sinker's body) make no link. */
function partEntry(catalogue: Catalogue, piece: PathPart): Entry[] {
  const strengthN = partStrengthN(catalogue, piece)
  if (strengthN === undefined) return []
  const element: ChainElement = { type: 'hardware', id: piece.id, strengthN }
  return [
    { ref: pieceRef(piece.id), element, kind: 'part', variation: partSpread(catalogue, piece), origin: 'nominal', again: false },
  ]
}

function partSpread({ hardware }: Catalogue, piece: PathPart): number {
  if (piece.role === 'hardware') return hardware[piece.type].spread
  return piece.role === 'hook' ? HOOK_SPREAD : LURE_SPREAD
}

/** Strength of a part as it is, N; undefined where it carries no pull of its own. */
function partStrengthN(catalogue: Catalogue, piece: Piece): number | undefined {
  if (piece.role === 'hook') return hookStraightensN(catalogue, piece)
  if (piece.role === 'lure') return piece.strengthN
  if (piece.role !== 'hardware') return undefined
  return piece.strengthN ?? (piece.size === undefined ? undefined : hardwareStrengthN(catalogue, piece.type, piece.size))
}

function hookStraightensN(catalogue: Catalogue, hook: HookPiece): number | undefined {
  const nominal = hookDimensions(catalogue, hook.pattern, hook.size)
  if (!nominal) return undefined
  return straighteningLoadN(hook.wireM ?? nominal.wireM, hook.gapeM ?? nominal.gapeM)
}
