import { jointRef, type LinkRef, linkKey, pieceRef, woundRef } from '../documents/linkRef.ts'
import type { Outfit } from '../documents/outfit.ts'
import { hungFrom, isLine, isTied, jointOf } from '../documents/pieces.ts'
import type { LinePiece, Piece, Trace } from '../documents/trace.ts'
import { OUTFIT } from '../documents/vocabulary.ts'
import { type Branch, foldAlike } from './alike.ts'
import { type Block, BRANCH_GAP, overlaps, translated } from './blocks.ts'
import { trunkOf } from './trunk.ts'

/** One thing drawn on the reach, in the drawing's units (px at scale 1): a slot from x0 to x1 at height y. */
export type ReachItem = {
  /** `linkKey` of its reference. */
  id: string
  ref: LinkRef
  kind: 'reel' | 'wound' | 'line' | 'joint' | 'part'
  x0: number
  x1: number
  y: number
  /** Part-way along a line: drawn on it, without a slot of its own. */
  onLine: boolean
  /** How many steps its label is above the place next to it, where labels have no room beside each other. */
  tier: number
}
/** A vertical from a line or part down to the branch that hangs there. */
type ReachDrop = { x: number; y0: number; y1: number }
/** So many branches alike, drawn as the one that ends here. */
type ReachFold = { x: number; y: number; count: number }
export type ReachLayout = {
  width: number
  height: number
  items: ReachItem[]
  drops: ReachDrop[]
  folds: ReachFold[]
  metresPerUnit?: number
}

export type ReachOptions = {
  /** Room to fill; the layout is wider only where its labels need it. */
  width: number
  /** Height of the trunk, and between a trunk and its branches. */
  trunkY: number
  laneHeight: number
  /** Room that an item's label needs. */
  labelWidth: (ref: LinkRef) => number
  /** Height of a step of labels; given, the labels of a long chain stand in steps and not beside each other. */
  tierHeight?: number
  /** Pieces to be drawn, the first before the others; given, many branches alike that do not fit beside each other are drawn as one. */
  drawn?: readonly string[]
  /** Lengths of the trace in one scale; the outfit's line is cut short either way. */
  trueScale?: boolean
}

const REEL = 46
const JOINT = 18
const PART = 26
export const ON_LINE = 9
const LABEL_GAP = 10
/** A branch that is no wider can hang beside others of its line; and how wide a line is drawn at most for that. */
const SHORT_BRANCH = 90
const MAX_SIDE_BY_SIDE = 450
/** Room under the last lane for a hook's bend and a length. */
const BELOW_LAST_LANE = 28
/** Share of the outfit's line at which a part is drawn as far up as is known. */
export const MIN_SHARE = 0.02

/** Width of a line's slot with lengths compressed: each tenfold length adds the same. */
const compressed = (lengthM: number) => 28 + 34 * Math.log10(1 + lengthM / 0.05)

/** The layout of a piece and everything below it. The caller adds to its lists. */
type Run = { items: ReachItem[]; drops: ReachDrop[]; folds: ReachFold[]; width: number; rows: number; blocks: Block[] }
const emptyRun = (): Run => ({ items: [], drops: [], folds: [], width: 0, rows: 1, blocks: [] })

/**
 * Places every part of an outfit and a trace on one strip: the trunk from the reel to the principal end, branches below it in
 * lanes that never cross. Pure geometry: the screen, the library's small drawing and later the print share it.
 * @returns items and drops in drawing units; `metresPerUnit` only at true scale.
 */
export function layOutReach(trace: Trace, outfit: Outfit, options: ReachOptions): ReachLayout {
  const { extent, run, metresPerUnit } = inSteps(trace, outfit, options)
  return {
    width: Math.max(options.width, Math.ceil(extent - 0.02)),
    height: Math.max(options.trunkY, ...run.items.map(({ y }) => y)) + BELOW_LAST_LANE,
    items: run.items,
    drops: run.drops,
    folds: run.folds,
    ...(metresPerUnit === undefined ? {} : { metresPerUnit }),
  }
}

type Shares = { labelShare: number; lineShare: number }
const WHOLE: Shares = { labelShare: 1, lineShare: 1 }

/** Steps of labels; the share of its label that an item then needs beside its neighbours, and of their length that branches keep. */
const STEPS = [
  { tiers: 1, labelShare: 1, lineShare: 0.7 },
  { tiers: 2, labelShare: 0.55, lineShare: 0.7 },
  { tiers: 3, labelShare: 0.4, lineShare: 0.5 },
  { tiers: 3, labelShare: 0.33, lineShare: 0.4 },
]

/** So many times as wide as its room a chain is too long for steps, and is scrolled: trying them all would only take time. */
const MAX_OVER_WIDTH = 2.5

/** Laid out with as few steps of labels as the width asks for; with the most of them where it still does not quite fit. */
function inSteps(trace: Trace, outfit: Outfit, options: ReachOptions): Placed {
  const { tierHeight, labelWidth, width } = options
  let placed = stretchToFit(trace, outfit, options)
  if (tierHeight === undefined || options.trueScale || placed.extent > MAX_OVER_WIDTH * width) return placed
  for (const { tiers, ...shares } of STEPS) {
    if (placed.extent <= width + 0.02) break
    placed = stretchToFit(trace, outfit, options, shares)
    stepLabels(placed.run.items, labelWidth, tiers)
    makeRoom(placed.run, tierHeight)
  }
  return placed
}

/** Gives each label of a row the lowest step on which it does not touch the one before it. */
function stepLabels(items: readonly ReachItem[], labelWidth: ReachOptions['labelWidth'], tiers: number): void {
  for (const rowY of new Set(items.map(({ y }) => y))) {
    const endOf = Array<number>(tiers).fill(Number.NEGATIVE_INFINITY)
    for (const item of items.filter(({ y }) => y === rowY).toSorted((a, b) => a.x0 - b.x0)) {
      const width = item.onLine ? 0 : labelWidth(item.ref)
      if (width === 0) continue
      const middle = (item.x0 + item.x1) / 2
      const free = endOf.findIndex((end) => end + LABEL_GAP <= middle - width / 2)
      item.tier = free === -1 ? endOf.indexOf(Math.min(...endOf)) : free
      endOf[item.tier] = middle + width / 2
    }
  }
}

/** Moves each row down by the steps of labels in it and in the rows above it. */
function makeRoom(run: Run, tierHeight: number): void {
  const rows = [...new Set(run.items.map(({ y }) => y))].sort((a, b) => a - b)
  const moved = new Map<number, number>()
  let down = 0
  for (const y of rows) {
    down += tierHeight * Math.max(...run.items.filter((item) => item.y === y).map(({ tier }) => tier))
    moved.set(y, y + down)
  }
  const movedY = (y: number) => moved.get(y) ?? y + down
  for (const item of run.items) item.y = movedY(item.y)
  for (const drop of run.drops) Object.assign(drop, { y0: movedY(drop.y0), y1: movedY(drop.y1) })
  for (const fold of run.folds) fold.y = movedY(fold.y)
}

type Placed = { run: Run; extent: number; metresPerUnit?: number }

/** Trunk lines are drawn no shorter than this share of their natural width, and never than their label. */
const MIN_STRETCH = 0.3

/**
 * What room is left goes to the trunk's lines, and what is too much comes off them, as one factor on their widths. How far the drawing
 * reaches grows with that factor in straight pieces (a branch may reach past the trunk's end), so a few secant steps find it.
 */
function stretchToFit(trace: Trace, outfit: Outfit, options: ReachOptions, shares: Shares = WHOLE): Placed {
  const layout = new Layout(
    trace,
    outfit,
    { ...options, labelWidth: (ref) => shares.labelShare * options.labelWidth(ref) },
    shares,
  )
  const at = (stretch: number) => layout.whole(stretch)
  let [low, placed] = [1, at(1)]
  const other = placed.extent > options.width ? 0.6 : 1.5
  let slope = (at(other).extent - placed.extent) / (other - 1)
  for (let i = 0; i < 6 && slope > 0 && Math.abs(options.width - placed.extent) > 0.01; i += 1) {
    const stretch = Math.max(MIN_STRETCH, low + (options.width - placed.extent) / slope)
    if (stretch === low) break
    const next = at(stretch)
    slope = (next.extent - placed.extent) / (stretch - low)
    low = stretch
    placed = next
  }
  return placed
}

class Layout {
  private readonly trace: Trace
  private readonly outfit: Outfit
  private readonly options: ReachOptions
  private stretch = 1
  private readonly trunk: Set<string>
  private readonly unitsPerMetre: number | undefined
  /** Of branches: they do not stretch. */
  private readonly widths = new Map<string, number>()

  /** Share of its label that an item has room for, and of their natural length that lines of branches have. */
  private readonly labelShare: number
  private readonly lineShare: number

  constructor(trace: Trace, outfit: Outfit, options: ReachOptions, { labelShare, lineShare }: Shares) {
    this.labelShare = labelShare
    this.lineShare = lineShare
    this.trace = trace
    this.outfit = outfit
    this.options = options
    this.trunk = trunkOf(trace)
    if (options.trueScale) {
      const trunkM = trace.pieces.reduce((sum, piece) => sum + (isLine(piece) && this.trunk.has(piece.id) ? piece.lengthM : 0), 0)
      this.unitsPerMetre = (0.55 * options.width) / Math.max(trunkM, 0.1)
    }
  }

  whole(stretch: number): Placed {
    this.stretch = stretch
    const head = this.outfitRun()
    const roots = hungFrom(this.trace, OUTFIT)
    const joined = roots.filter(({ attach }) => attach.how === 'joined')
    const onOutfit = roots.filter(({ attach }) => attach.how !== 'joined')
    const main = joined.find(({ id }) => this.trunk.has(id)) ?? joined[0]
    const wound = head.items.at(-1)
    const riding = this.alongLine(wound, onOutfit, (piece) => (piece.attach.how === 'joined' ? 0 : 1 / (1 + piece.attach.atM)))
    const run = main ? this.run(main, head.width) : emptyRun()
    const beside = joined.filter((piece) => piece !== main).map((piece) => ({ x: head.width - 2, piece }))
    const branches = this.hang([...beside, ...riding.branches], [run])
    const whole = joinedRuns(run, branches, [...head.items, ...riding.items])
    return {
      run: { ...whole, width: head.width + run.width },
      extent: Math.max(...whole.items.map((item) => this.reachOf(item))),
      ...(this.unitsPerMetre === undefined ? {} : { metresPerUnit: 1 / this.unitsPerMetre }),
    }
  }

  /** How far right an item and its label are; a label that stands on a step is wider than its item. */
  private reachOf({ x0, x1, ref, onLine }: ReachItem): number {
    if (onLine || this.labelShare === 1) return x1
    return Math.max(x1, (x0 + x1 + this.options.labelWidth(ref) / this.labelShare + LABEL_GAP) / 2)
  }

  private outfitRun(): Run {
    const y = this.options.trunkY
    const items = [itemOf({ at: 'reel' }, 'reel', 0, REEL, y)]
    let x = REEL
    for (const [i, line] of this.outfit.wound.entries()) {
      if (line.doubled?.under) x = this.joint(items, { at: 'woundKnot', role: line.role, side: 'under' }, x)
      if (i > 0) x = this.joint(items, { at: 'woundJoint', role: line.role }, x)
      if (line.doubled?.over) x = this.joint(items, { at: 'woundKnot', role: line.role, side: 'over' }, x)
      const widthM =
        this.unitsPerMetre === undefined
          ? this.flexible(woundRef(line.role), compressed(line.lengthM ?? 200))
          : this.slot(woundRef(line.role), 60)
      x = push(items, itemOf(woundRef(line.role), 'wound', x, widthM, y))
    }
    return { ...emptyRun(), items, width: x }
  }

  /** A piece with its joint, and everything that hangs from it, starting at x on the trunk's height. */
  private run(piece: Piece, x: number, isBranch = false): Run {
    const y = this.options.trunkY
    const items: ReachItem[] = []
    let at = x
    const joint = jointOf(piece)
    if (isTied(joint) && piece.attach.how === 'joined') at = this.joint(items, jointRef(piece.id), at, isBranch)
    const hung = hungFrom(this.trace, piece.id)
    const partWay = hung.filter(({ attach }) => attach.how === 'fixed' || attach.how === 'sliding')
    const width = isLine(piece) ? this.lineWidth(piece, partWay) : this.slot(pieceRef(piece.id), PART)
    const own = itemOf(pieceRef(piece.id), isLine(piece) ? 'line' : 'part', at, width, y)
    items.push(own)
    const riding = this.alongLine(own, partWay, (child) => placeShare(piece, child))
    const near = hung.filter(({ attach }) => attach.how === 'joined' && attach.end === 'near')
    const ends = hung.filter((child) => !partWay.includes(child) && !near.includes(child))
    const follows = ends.find(({ id }) => this.trunk.has(id)) ?? ends[0]
    const after = follows ? this.run(follows, own.x1) : emptyRun()
    const branches = this.hang(
      [
        ...near.map((child) => ({ x: own.x0 + BRANCH_GAP / 2, piece: child })),
        ...riding.branches,
        ...ends
          .filter((child) => child !== follows)
          .map((child) => ({ x: own.x1 - (isLine(piece) ? 2 : width / 2), piece: child })),
      ],
      [after],
    )
    return { ...joinedRuns(after, branches, [...items, ...riding.items]), width: own.x1 - x + after.width }
  }

  private joint(items: ReachItem[], ref: LinkRef, x: number, isFirst = false): number {
    return push(items, itemOf(ref, 'joint', x, this.slot(ref, JOINT, isFirst), this.options.trunkY))
  }

  /** Parts part-way along a line, in order of place and never on top of each other; what they carry hangs below. */
  private alongLine(line: ReachItem | undefined, pieces: Piece[], share: (piece: Piece) => number) {
    if (!line) return { items: [], branches: [] }
    const inOrder = pieces.toSorted((a, b) => share(a) - share(b))
    const low = line.x0 + ON_LINE
    const high = line.x1 - ON_LINE
    const centres = inOrder.map((piece) => low + share(piece) * (high - low))
    const apart = spread(centres, low, high)
    const items: ReachItem[] = []
    const branches: Branch[] = []
    for (const [i, piece] of inOrder.entries()) {
      const x = apart[i] ?? low
      // A sinker, hook or lure on a line hangs below it; small parts are drawn on it.
      if (piece.role === 'hardware') {
        items.push({ ...itemOf(pieceRef(piece.id), 'part', x - ON_LINE / 2, ON_LINE, line.y), onLine: true })
        for (const child of hungFrom(this.trace, piece.id)) branches.push({ x, piece: child, from: piece.id })
      } else branches.push({ x, piece })
    }
    return { items, branches }
  }

  /** Hangs branches below, from the right: each takes the highest free lanes, so a drop never crosses a branch. */
  private hang(branches: Branch[], taken: Run[]): Run {
    if (branches.length === 0) return emptyRun()
    const placed = taken.flatMap(({ blocks }) => blocks)
    const blocks: Block[] = []
    const items: ReachItem[] = []
    const drops: ReachDrop[] = []
    const folds: ReachFold[] = []
    let rows = 1
    for (const { x, piece, count } of this.folded(branches.toSorted((a, b) => b.x - a.x))) {
      const run = this.run(piece, x, true)
      const lane = this.freeLane(x, run, placed)
      const here = [branchBlock(x, run, lane), ...run.blocks.map((block) => translated(block, lane))]
      placed.push(...here)
      blocks.push(...here)
      const dy = lane * this.options.laneHeight
      items.push(...run.items.map((item) => ({ ...item, y: item.y + dy })))
      drops.push(...run.drops.map((drop) => ({ ...drop, y0: drop.y0 + dy, y1: drop.y1 + dy })))
      folds.push(...run.folds.map((fold) => ({ ...fold, y: fold.y + dy })))
      drops.push({ x, y0: this.options.trunkY, y1: this.options.trunkY + dy })
      if (count > 1) folds.push({ x: x + run.width, y: this.options.trunkY + dy, count })
      rows = Math.max(rows, lane + run.rows)
    }
    return { items, drops, folds, width: 0, rows, blocks }
  }

  /** The highest free lane for a branch. The lane below everything placed is always free, so the search ends. */
  private freeLane(x: number, run: Run, placed: readonly Block[]): number {
    const below = 1 + Math.max(0, ...placed.map(({ lane }) => lane))
    const meets = (block: Block) => placed.some((other) => overlaps(block, other))
    for (let lane = 1; lane < below; lane += 1) {
      const own = branchBlock(x, run, lane)
      if (!meets(own) && !run.blocks.some((block) => meets(translated(block, lane)))) return lane
    }
    return below
  }

  /** Branches from the right, of many alike that have no room beside each other only one. */
  private folded(branches: readonly Branch[]): (Branch & { count: number })[] {
    const { drawn } = this.options
    if (!drawn) return branches.map((branch) => ({ ...branch, count: 1 }))
    return foldAlike(this.trace, branches, drawn, (alike) => this.sidesFit(alike))
  }

  private sidesFit(alike: readonly Branch[]): boolean {
    return alike.slice(1).every(({ x, piece }, i) => x + this.widthOf(piece) + 2 * BRANCH_GAP <= alike[i]!.x)
  }

  /** Width of a branch, wherever it hangs: laid out for it once, or branches of branches would be over and over. */
  private widthOf(piece: Piece): number {
    const known = this.widths.get(piece.id) ?? this.run(piece, 0).width
    this.widths.set(piece.id, known)
    return known
  }

  private lineWidth(line: LinePiece, riders: readonly Piece[]): number {
    if (this.unitsPerMetre !== undefined) return Math.max(8, line.lengthM * this.unitsPerMetre)
    const natural = Math.max(compressed(line.lengthM), (riders.length + 2) * ON_LINE, this.sideBySide(riders))
    return this.trunk.has(line.id)
      ? this.flexible(pieceRef(line.id), natural)
      : this.slot(pieceRef(line.id), natural * this.lineShare)
  }

  /** Room in which the short branches of a line hang side by side, up to what is worth it. */
  private sideBySide(riders: readonly Piece[]): number {
    const hung = riders.flatMap((rider) => (rider.role === 'hardware' ? hungFrom(this.trace, rider.id) : [rider]))
    const widths = hung.map((piece) => this.widthOf(piece)).filter((width) => width <= SHORT_BRANCH)
    return widths.length < 2
      ? 0
      : Math.min(MAX_SIDE_BY_SIDE, ON_LINE + 1.25 * widths.reduce((sum, width) => sum + width + 2 * BRANCH_GAP, 0))
  }

  /** @param isFirst of its branch: its label keeps clear of the line that the branch hangs from. */
  private slot(ref: LinkRef, least: number, isFirst = false): number {
    const label = this.options.labelWidth(ref) / (isFirst ? this.labelShare : 1)
    return this.unitsPerMetre === undefined ? Math.max(least, label === 0 ? 0 : label + LABEL_GAP) : least
  }

  private flexible(ref: LinkRef, natural: number): number {
    const label = this.options.labelWidth(ref)
    return Math.max(natural * this.stretch, label === 0 ? 0 : label + LABEL_GAP)
  }
}

const branchBlock = (x: number, { width }: Run, lane: number): Block => ({
  x0: x,
  x1: x + width + BRANCH_GAP,
  lane,
  hangsFromLane: 0,
})

/** Adds branches and items to the lists of a run. Copying the lists at each piece would make a long chain quadratic. */
function joinedRuns(run: Run, branches: Run, items: readonly ReachItem[]): Run {
  run.items.push(...items, ...branches.items)
  run.drops.push(...branches.drops)
  run.folds.push(...branches.folds)
  run.blocks.push(...branches.blocks)
  run.rows = Math.max(run.rows, branches.rows)
  return run
}

function itemOf(ref: LinkRef, kind: ReachItem['kind'], x0: number, width: number, y: number): ReachItem {
  return { id: linkKey(ref), ref, kind, x0, x1: x0 + width, y, onLine: false, tier: 0 }
}

/** Places in order along a line, pushed apart so that small parts do not lie on each other, and kept on the line. */
function spread(centres: readonly number[], low: number, high: number): number[] {
  const right: number[] = []
  for (const x of centres) right.push(Math.max(x, (right.at(-1) ?? low - ON_LINE) + ON_LINE))
  return right.map((x, i) => Math.min(x, high - (right.length - 1 - i) * ON_LINE))
}

function push(items: ReachItem[], item: ReachItem): number {
  items.push(item)
  return item.x1
}

function placeShare(line: Piece, child: Piece): number {
  return isLine(line) && child.attach.how !== 'joined' ? child.attach.atM / line.lengthM : 0
}
