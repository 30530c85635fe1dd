import { type Catalogue, efficiencyOf, type Measured } from '../catalogue/catalogue.ts'
import { keptWithTurns } from '../catalogue/connections.ts'
import { strengthOfHardwareN } from '../catalogue/hardware.ts'
import { HOOK_SPREAD, hookDimensions, straighteningLoadN } from '../catalogue/hooks.ts'
import type { Material } from '../catalogue/ids.ts'
import type { LineSpec } from '../catalogue/materials.ts'
import type { Conditions } from '../documents/conditions.ts'
import type { Joint } from '../documents/fields.ts'
import { type LinkRef, linkKey, pieceRef, woundRef } from '../documents/linkRef.ts'
import type { WoundLine } from '../documents/outfit.ts'
import { isHardware, strandsOf } from '../documents/pieces.ts'
import type { HookPiece, LinePiece, Piece } from '../documents/trace.ts'
import { OUTFIT } from '../documents/vocabulary.ts'
import { CoreError } from '../errors.ts'
import { type ChainElement, chainLink, lineStrengthN } from '../physics/strength/chain.ts'
import type { FailingLink } from '../physics/strength/failingLinks.ts'
import type { PathElement } from '../soundness/paths.ts'
import { usualTurns } from './cutLength.ts'

/** A link of a path with its effective strength, its spread, and where its figure comes from. */
export type Link = {
  /** `linkKey` of its reference. */
  id: string
  ref: LinkRef
  kind: 'line' | 'joint' | 'part'
  strengthN: number
  /** Spread of its strength (coefficient of variation). */
  variation: number
  /** As `strength.failure` is asked of it: a joint as the share of its line, of both lines where either may give. */
  failing: readonly FailingLink[]
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

/** What takes a pull beside the path itself: `wound`, the outfit's lines from the lowest, is empty where the path begins at the trace. */
export type Bearing = {
  catalogue: Catalogue
  wound: readonly WoundLine[]
  conditions: Pick<Conditions, 'wet' | 'lineSpread' | 'pulledSpread'>
}

/** For any path of one trace: effective strength and spread of every link from the outfit's lines to its end, in order. */
export function linkFinder(bearing: Bearing): (path: readonly PathElement[]) => Link[] {
  const entriesOf = entryFinder(bearing)
  const made = new Map<Entry, Beside & { link: Link }>()
  return (path) => {
    const entries = entriesOf(path)
    const links: Link[] = []
    for (let i = 0; i < entries.length; i += 1) {
      const entry = entries[i]!
      if (entry.again) continue
      const above = entries[i - 1]
      const below = entries[i + 1]
      // A joint reached another way can have another line beside it; any other link is what it is.
      let known = made.get(entry)
      if (!known || (entry.element.type === 'joint' && (known.above !== above || known.below !== below))) {
        known = { above, below, link: linkOf(entry, { above, below }) }
        made.set(entry, known)
      }
      links.push(known.link)
    }
    return links
  }
}

/** A side of a joint that holds this many times what the weaker one holds does not break first: over three of their spreads apart. Ours. */
const NEVER_FIRST = 1.45

type Side = 'above' | 'below'
type Beside = Readonly<Record<Side, Entry | undefined>>

/** A joint's strength is a share of its line's, which varies too; of two lines it follows both. */
function linkOf(entry: Entry, beside: Beside): Link {
  const { ref, kind, origin, element } = entry
  const { id, strengthN, governedBy } = chainLink(element, beside.above?.element, beside.below?.element)
  const own = spreadOn(entry, governedBy === 'below' ? 'below' : 'above')
  const line = governedBy === 'self' ? undefined : beside[governedBy]
  if (governedBy === 'self' || line?.element.type !== 'line' || element.type !== 'joint')
    return { id, ref, kind, strengthN, governedBy, origin, variation: own, failing: [{ id, meanN: strengthN, variation: own }] }
  const { efficiencyAbove, efficiencyBelow } = element
  const governs = {
    id,
    line: line.element.id,
    efficiency: governedBy === 'above' ? efficiencyAbove : efficiencyBelow,
    variation: own,
  }
  const other = governedBy === 'above' ? 'below' : 'above'
  const efficiency = governedBy === 'above' ? efficiencyBelow : efficiencyAbove
  const of = beside[other]?.element
  // A knot tied in a line part-way has it on both sides, and is one knot.
  const isShared = of?.type === 'line' && efficiency * lineStrengthN(of) <= NEVER_FIRST * strengthN && of.id !== governs.line
  const failing = isShared
    ? [governs, { id: `${id}, other line`, line: of.id, efficiency, variation: spreadOn(entry, other) }]
    : [governs]
  const ofLine = typeof line.variation === 'number' ? line.variation : 0
  return { id, ref, kind, strengthN, governedBy, origin, variation: Math.hypot(own, ofLine), failing }
}

const spreadOn = ({ variation }: Entry, side: Side) => (typeof variation === 'number' ? variation : variation[side])

/** One such path, where no more are asked for. */
export const pathLinks = (bearing: Bearing, path: readonly PathElement[]): Link[] => linkFinder(bearing)(path)

/** The same path as what `strength.chain` is asked. */
export const chainElements = (bearing: Bearing, path: readonly PathElement[]): ChainElement[] =>
  entryFinder(bearing)(path).map(({ element }) => element)

/** Many paths share most of their links: each is worked out once, a joint once for the materials it is tied in. */
function entryFinder(bearing: Bearing): (path: readonly PathElement[]) => Entry[] {
  const wound = woundEntries(bearing)
  const known = new Map<string, Entry | undefined>()
  /** Of lines that are passed again beyond a knot in them. */
  const knownAgain = new Map<string, Entry | undefined>()
  const keyOf = (element: PathElement, above: PathElement | undefined, below: PathElement | undefined): string => {
    // Nearly every joint is tied in both lines beside it: its key is its own.
    if (element.kind !== 'joint' || (isTiedIn(element, above) && isTiedIn(element, below))) return element.id
    return `${element.id} ${isTiedIn(element, above)} ${isTiedIn(element, below)}`
  }
  const entryOf = (element: PathElement, i: number, path: readonly PathElement[]): Entry | undefined => {
    const { catalogue } = bearing
    if (element.kind === 'part') return partEntry(catalogue, element.piece)
    if (element.kind === 'line') {
      const { line, again, ref } = element
      return lineEntry(bearing, ref, line, { strands: strandsOf(line), again })
    }
    const looped = loopedLines(bearing, path, i)
    if (looped) return looped.length > 0 ? doubledEntry(bearing, element.ref, element.joint, looped) : undefined
    const [above, below] = [path[i - 1], path[i + 1]]
    const outfitLine = element.ties.includes(OUTFIT) ? bearing.wound.at(-1) : undefined
    const tiedAbove = above === undefined ? outfitLine : lineIfTied(above, element.ties)
    const tiedBelow = below && lineIfTied(below, element.ties)
    return jointEntry(catalogue, element.ref, element.joint, tiedAbove, tiedBelow)
  }
  return (path) => {
    const entries = [...wound]
    for (let i = 0; i < path.length; i += 1) {
      const element = path[i]!
      const key = keyOf(element, path[i - 1], path[i + 1])
      const among = element.kind === 'line' && element.again ? knownAgain : known
      let entry = among.get(key)
      if (entry === undefined && !among.has(key)) {
        entry = entryOf(element, i, path)
        among.set(key, entry)
      }
      if (entry) entries.push(entry)
    }
    return entries
  }
}

const isTiedIn = ({ ties }: JointElement, beside: PathElement | undefined): boolean =>
  beside === undefined ? ties.includes(OUTFIT) : beside.kind === 'line' && ties.includes(beside.id)

function woundEntries(bearing: Bearing): Entry[] {
  const { catalogue, wound } = bearing
  return wound.flatMap((line, i): Entry[] => {
    const under = wound[i - 1]
    const entry = lineEntry(bearing, woundRef(line.role), line, { strands: 1, again: false })
    if (!under || !line.joint) return [entry]
    const { doubled, role } = line
    const knot = (side: 'under' | 'over', joint: Joint | undefined) => {
      if (!joint) return []
      const [above, below] = side === 'under' ? [under, undefined] : [undefined, line]
      return [jointEntry(catalogue, { at: 'woundKnot', role, side }, joint, above, below)]
    }
    const join = doubled
      ? doubledEntry(bearing, { at: 'woundJoint', role }, line.joint, [
          { line: under, strands: doubled.under ? 2 : 1 },
          { line, strands: doubled.over ? 2 : 1 },
        ])
      : jointEntry(catalogue, { at: 'woundJoint', role }, line.joint, under, line)
    return [...knot('under', doubled?.under), join, ...knot('over', doubled?.over), entry]
  })
}

function lineIfTied(element: PathElement, ties: readonly string[]): LinePiece | undefined {
  return element.kind === 'line' && ties.includes(element.id) ? element.line : undefined
}

type AnyLine = { material: Material; strengthN: number; condition?: number | undefined; pulled?: boolean | undefined }

function lineEntry(
  { catalogue: { materials }, conditions: { wet, lineSpread, pulledSpread } }: Bearing,
  ref: LinkRef,
  line: AnyLine,
  { strands, again }: { strands: number; again: boolean },
): Entry {
  const condition = (line.condition ?? 1) * (wet ? materials[line.material].wetCondition : 1)
  const element: ChainElement = { type: 'line', id: linkKey(ref), strengthN: line.strengthN, strands, condition }
  return {
    ref,
    element,
    kind: 'line',
    variation: line.pulled ? pulledSpread : lineSpread,
    origin: line.pulled ? 'own' : 'nominal',
    again,
  }
}

/** A side that the joint is not tied in takes nothing from a line that happens to be next. */
function jointEntry(
  catalogue: Catalogue,
  ref: LinkRef,
  joint: Joint,
  above: LineSpec | undefined,
  below: LineSpec | undefined,
): Entry {
  const kept = turnsKept(catalogue, joint, [above, below])
  const [onAbove, onBelow] = [above, below].map((line) => figureIn(catalogue, joint, line?.material))
  const element: ChainElement = {
    type: 'joint',
    id: linkKey(ref),
    efficiencyAbove: onAbove ? kept * onAbove.mean : 1,
    efficiencyBelow: onBelow ? kept * onBelow.mean : 1,
  }
  const { spread } = catalogue.connections[joint.connection]
  const variation = { above: onAbove?.spread ?? spread, below: onBelow?.spread ?? spread }
  const origin = [onAbove, onBelow].some((figure) => figure?.origin === 'own') ? 'own' : 'nominal'
  return { ref, element, kind: 'joint', variation, origin, again: false }
}

/** Share that a joint keeps by its turns; in two lines those that the easier of them is tied with. Who pulled their own knows better. */
function turnsKept(catalogue: Catalogue, joint: Joint, lines: readonly (LineSpec | undefined)[]): number {
  if (joint.turns === undefined || joint.own) return 1
  const usual = usualTurns(catalogue, joint.connection, lines)
  return usual === 0 ? 1 : keptWithTurns(joint.turns, usual)
}

function figureIn(catalogue: Catalogue, joint: Joint, material: Material | undefined): Measured | undefined {
  if (material === undefined) return undefined
  const figure = efficiencyOf(catalogue, joint, material)
  if (figure === undefined)
    throw new CoreError('out-of-range', `${catalogue.connections[joint.connection].name} cannot be tied in ${material}`, {
      value: material,
    })
  return figure
}

type JointElement = Extract<PathElement, { kind: 'joint' }>

type Strands = { line: AnyLine; strands: number }

/**
 * Of a hitch of loops: the lines that its loops are made of, the outfit’s own among them, and a double that it is passed through; undefined
 * for any other joint. Loop through loop it is the weaker of them, each times what the hitch keeps of it.
 */
function loopedLines({ catalogue, wound }: Bearing, path: readonly PathElement[], at: number): Strands[] | undefined {
  const joint = path[at]
  if (joint?.kind !== 'joint' || catalogue.connections[joint.joint.connection].joins !== 'loop-loop') return undefined
  if (!isLoop(path[at - 1]) && !isLoop(path[at + 1])) return undefined
  const lineOf = (beside: PathElement | undefined, beyond: readonly PathElement[], orElse?: Strands): Strands | undefined => {
    const line = beside?.kind === 'line' ? beside : isLoop(beside) ? beyond.find((element) => element.kind === 'line') : undefined
    if (line?.kind === 'line') return { line: line.line, strands: strandsOf(line.line) }
    return isLoop(beside) ? orElse : undefined
  }
  const free = wound.at(-1)
  const sides = [
    lineOf(path[at - 1], path.slice(0, at).toReversed(), free && { line: free, strands: 1 }),
    lineOf(path[at + 1], path.slice(at + 1)),
  ]
  return sides.filter((side) => side !== undefined)
}

const isLoop = (element: PathElement | undefined) => element?.kind === 'part' && isHardware(element.piece, 'loop')

/** A joint of lines of one or two strands: the weaker of them, each times what the joint keeps of it. */
function doubledEntry(bearing: Bearing, ref: LinkRef, joint: Joint, lines: readonly Strands[]): Entry {
  const sides = lines.map(({ line, strands }) => {
    const { element } = lineEntry(bearing, ref, line, { strands, again: false })
    // What nobody ties so, a wire’s own loop, keeps what its twist does.
    const figure = efficiencyOf(bearing.catalogue, joint, line.material)
    return { strengthN: (figure?.mean ?? 1) * (element.type === 'line' ? lineStrengthN(element) : 0), figure }
  })
  const weaker = sides.reduce((least, side) => (side.strengthN < least.strengthN ? side : least))
  const element: ChainElement = { type: 'hardware', id: linkKey(ref), strengthN: weaker.strengthN }
  const variation = weaker.figure?.spread ?? bearing.catalogue.connections[joint.connection].spread
  return { ref, element, kind: 'joint', variation, origin: weaker.figure?.origin ?? 'nominal', again: false }
}

type PathPart = Extract<PathElement, { kind: 'part' }>['piece']

/** Parts that carry no pull of their own (a bead, a bait, the sinker's body) make no link. */
function partEntry(catalogue: Catalogue, piece: PathPart): Entry | undefined {
  const strengthN = partStrengthN(catalogue, piece)
  if (strengthN === undefined) return undefined
  const element: ChainElement = { type: 'hardware', id: piece.id, strengthN }
  const variation = partSpread(catalogue, piece)
  return { ref: pieceRef(piece.id), element, kind: 'part', variation, origin: 'nominal', again: false }
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
  return strengthOfHardwareN(catalogue, piece)
}

/** What an eye that was opened and closed holds, over what opens the bend. Nominal, ours. */
const OPENED_EYE = 0.6

function hookStraightensN(catalogue: Catalogue, hook: HookPiece): number | undefined {
  const nominal = hookDimensions(catalogue, hook.pattern, hook.size)
  if (!nominal) return undefined
  const straightensN = straighteningLoadN(hook.wireM ?? nominal.wireM, hook.gapeM ?? nominal.gapeM)
  return hook.openedEye ? OPENED_EYE * straightensN : straightensN
}
