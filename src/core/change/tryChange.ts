import { isWire } from '../catalogue/materials.ts'
import type { Gear } from '../documents/gear.ts'
import { hookPieces, isLine, lineById, parentId } from '../documents/pieces.ts'
import type { LinePiece, Piece, Trace } from '../documents/trace.ts'
import { addPart } from '../edit/addPart.ts'
import { withLength } from '../edit/changes.ts'
import { checked, type EditResult, refused } from '../edit/editResult.ts'
import { fromBox } from '../edit/fromBox.ts'
import { splitLine } from '../edit/splitLine.ts'
import { judge } from '../moments/judge.ts'
import type { Verdict } from '../moments/moment.ts'
import { MOMENT_NAMES, type MomentName } from '../moments/moments.ts'
import type { Setup } from '../setup/setup.ts'
import { hookStep } from '../units/hookSize.ts'
import type { ChangeId } from './changeIds.ts'
import type { Symptom } from './symptoms.ts'

/** What a change is tried on: the trace as it is fished, and the gear that is along; absent: nobody said what is. */
export type Tried = { setup: Setup; gear: readonly Gear[] | undefined; symptom: Symptom }

/** What a change makes worse or better of the verdicts; none for what changes only how it is fished. */
export type Cost = { moment: MomentName; before: Verdict; after: Verdict }
export type Outcome = { costs: Cost[]; with?: string }

/** How much longer or shorter a hook line is made: by a half, or to two thirds. Working values of the craft. */
const LONGER = 1.5
const SHORTER = 2 / 3

/** Whether a change can be made here, with what it costs; undefined where it cannot, or where nothing along would do for it. */
export function tryChange(id: ChangeId, tried: Tried): Outcome | undefined {
  const { setup, gear } = tried
  const { trace } = setup
  const isCast =
    setup.conditions.castStyle !== 'none' &&
    setup.conditions.water?.method !== 'anchor' &&
    setup.conditions.water?.method !== 'drift'
  const hookLines = linesToHooks(trace)
  const sinker = trace.pieces.find((piece) => piece.role === 'sinker')
  switch (id) {
    case 'thinnerHookLine':
      return bestOf(
        tried,
        lineItems(gear, hookLines[0], (item, line) => item.strengthN < 0.95 * line.strengthN),
        hookLines,
        'strongest',
      )
    case 'stifferSnood':
      return bestOf(
        tried,
        lineItems(gear, hookLines[0], (item, line) => item.strengthN > 1.05 * line.strengthN),
        hookLines,
        'weakest',
      )
    case 'longerHookLine':
      return edited(tried, () => scaled(setup, hookLines, LONGER))
    case 'shorterSnood':
      return hookLines.some(({ lengthM }) => lengthM > 0.15) ? edited(tried, () => scaled(setup, hookLines, SHORTER)) : undefined
    case 'smallerHook':
      return hookItem(tried, -1)
    case 'largerHook':
      return hookItem(tried, 1)
    case 'hookKind':
      return hookOfKind(tried)
    case 'hookPosition':
      return trace.pieces.some(({ role }) => role === 'bait' || role === 'lure') ? AS_IT_IS : undefined
    case 'otherBait':
      return gear === undefined || gear.some(({ kind }) => kind === 'bait' || kind === 'lure') ? AS_IT_IS : undefined
    case 'biggerBait':
    case 'strike':
    case 'retie':
    case 'moveMark':
    case 'nothing':
    case 'cutBack':
    case 'lowerDrag':
      return AS_IT_IS
    case 'brakeCast':
    case 'clipBait':
      return isCast ? AS_IT_IS : undefined
    case 'widerSpacing':
      return hookPieces(trace).length > 1 ? AS_IT_IS : undefined
    case 'snoodsTowards':
      return hookPieces(trace).length > 1 ? AS_IT_IS : undefined
    case 'depth':
      return setup.conditions.moving !== undefined || trace.pieces.some(({ role }) => role === 'float') || !isCast
        ? AS_IT_IS
        : undefined
    case 'raiseOffBottom':
      return sinker ? AS_IT_IS : undefined
    case 'biteTrace':
      return trace.pieces.some((piece) => isLine(piece) && (piece.role === 'biteTrace' || isWire(piece.material))) ||
        (gear !== undefined && !gear.some((item) => item.kind === 'line' && isWire(item.material)))
        ? undefined
        : ifItGoes(tried, () => withBiteTraces(setup))
    case 'heavierLeader':
    case 'longerLeader':
      return leaderChange(tried, id)
    case 'moreBow':
      return sinker ? AS_IT_IS : undefined
    case 'gripSinker':
      return isCast && sinker?.shape !== 'gripWire' ? sinkerItem(tried, ({ shape }) => shape === 'gripWire') : undefined
    case 'heavierSinker':
      return sinker && !isTooHeavy(setup, sinker.massKg)
        ? sinkerItem(tried, ({ massKg }) => massKg > 1.05 * sinker.massKg)
        : undefined
    case 'sinkerShape':
      return sinkerItem(tried, ({ shape }) => shape !== sinker?.shape)
    case 'thinnerMain':
      return AS_IT_IS
    case 'weakLink':
      return sinker && trace.weakLink === undefined ? ifItGoes(tried, () => withWeakLink(setup, sinker)) : undefined
    case 'swivel':
      return isAlong(gear, (item) => item.kind === 'hardware' && item.type === 'swivel')
        ? ifItGoes(tried, () => withSwivel(setup, hookLines[0]))
        : undefined
  }
}

/** Changes how it is fished, not the trace. */
const AS_IT_IS: Outcome = { costs: [] }

const isAlong = (gear: readonly Gear[] | undefined, is: (item: Gear) => boolean): boolean => gear === undefined || gear.some(is)

/** The next sinker would be more than the rod is said to cast. */
const isTooHeavy = ({ outfit, conditions }: Setup, massKg: number): boolean =>
  conditions.castStyle !== 'none' && outfit.rod.castHighKg !== undefined && massKg >= outfit.rod.castHighKg

/** The lines that hooks and their baits hang by, once each. */
function linesToHooks(trace: Trace): LinePiece[] {
  const ids = new Set(hookPieces(trace).map(({ attach }) => parentId(attach)))
  return [...ids].flatMap((id) => lineById(trace, id) ?? [])
}

function scaled(setup: Setup, lines: readonly LinePiece[], by: number): EditResult {
  const trace = lines.reduce((each, { id, lengthM }) => withLength(each, id, lengthM * by), setup.trace)
  return checked(setup, trace, lines[0]?.id ?? '')
}

/** Spools of the same make as a line, or of any where none is, that are thinner or thicker. */
function lineItems(
  gear: readonly Gear[] | undefined,
  line: LinePiece | undefined,
  is: (item: Extract<Gear, { kind: 'line' }>, line: LinePiece) => boolean,
): Gear[] | undefined {
  if (!line) return []
  return gear?.filter((item) => item.kind === 'line' && isWire(item.material) === isWire(line.material) && is(item, line))
}

/** The item nearest to what is on, tried on every line; where nobody said what is along, the change is offered untried. */
function bestOf(
  tried: Tried,
  items: readonly Gear[] | undefined,
  lines: readonly LinePiece[],
  nearest: 'strongest' | 'weakest',
): Outcome | undefined {
  if (lines.length === 0) return undefined
  if (items === undefined) return AS_IT_IS
  const strengthOf = (item: Gear) => (item.kind === 'line' ? item.strengthN : 0)
  const inOrder = items.toSorted((a, b) =>
    nearest === 'strongest' ? strengthOf(b) - strengthOf(a) : strengthOf(a) - strengthOf(b),
  )
  return firstThatGoes(
    tried,
    lines.map(({ id }) => id),
    inOrder,
  )
}

function replaced(setup: Setup, ids: readonly string[], item: Gear): EditResult {
  let result: EditResult = { ok: true, trace: setup.trace, chosen: '' }
  for (const id of ids) {
    if (!result.ok) return result
    result = fromBox({ ...setup, trace: result.trace }, id, item)
  }
  return result
}

/** A sinker that is along, the one nearest in mass to what is on that can take its place. */
function sinkerItem(tried: Tried, is: (item: Extract<Gear, { kind: 'sinker' }>) => boolean): Outcome | undefined {
  const sinker = tried.setup.trace.pieces.find((piece) => piece.role === 'sinker')
  if (!sinker) return undefined
  if (tried.gear === undefined) return AS_IT_IS
  const apart = (item: Gear) => (item.kind === 'sinker' ? Math.abs(item.massKg - sinker.massKg) : Number.POSITIVE_INFINITY)
  return firstThatGoes(
    tried,
    [sinker.id],
    tried.gear.filter((item) => item.kind === 'sinker' && is(item)).sort((a, b) => apart(a) - apart(b)),
  )
}

/** The first of some items that can take the place of some pieces without making a moment fail. */
function firstThatGoes(tried: Tried, ids: readonly string[], items: readonly Gear[]): Outcome | undefined {
  for (const item of items) {
    const outcome = edited(tried, () => replaced(tried.setup, ids, item))
    if (outcome) return { ...outcome, with: item.name }
  }
  return undefined
}

/** A hook of the same pattern, the next size down or up that is along. */
function hookItem(tried: Tried, direction: 1 | -1): Outcome | undefined {
  const hooks = hookPieces(tried.setup.trace)
  const [hook] = hooks
  if (!hook) return undefined
  if (tried.gear === undefined) return AS_IT_IS
  const from = hookStep(hook.size)
  const sized = tried.gear
    .filter((item) => item.kind === 'hook' && direction * (hookStep(item.size) - from) > 0)
    .sort((a, b) => distance(a, from) - distance(b, from))
  const item = sized.find((each) => each.kind === 'hook' && each.pattern === hook.pattern) ?? sized[0]
  if (!item) return undefined
  return firstThatGoes(
    tried,
    hooks.map(({ id }) => id),
    [item],
  )
}

const distance = (item: Gear, from: number): number =>
  item.kind === 'hook' ? Math.abs(hookStep(item.size) - from) : Number.POSITIVE_INFINITY

/** Circle hooks where fish are hooked deep; any other pattern that is along where bites do not stay on. */
function hookOfKind(tried: Tried): Outcome | undefined {
  const { setup, symptom } = tried
  const [hook] = hookPieces(setup.trace)
  if (!hook) return undefined
  const isCircle = (pattern: string) => pattern === 'circle'
  if (symptom === 'hookedDeep') {
    if (isCircle(hook.pattern)) return undefined
    return ofKind(tried, (pattern) => isCircle(pattern))
  }
  return ofKind(tried, (pattern) => pattern !== hook.pattern)
}

/** Hooks of another kind that are along, those nearest in size to what is on first. */
function ofKind(tried: Tried, is: (pattern: string) => boolean): Outcome | undefined {
  const hooks = hookPieces(tried.setup.trace)
  if (tried.gear === undefined || !hooks[0]) return AS_IT_IS
  const from = hookStep(hooks[0].size)
  return firstThatGoes(
    tried,
    hooks.map(({ id }) => id),
    tried.gear.filter((item) => item.kind === 'hook' && is(item.pattern)).sort((a, b) => distance(a, from) - distance(b, from)),
  )
}

/** A stronger leader that is along, or a longer one. */
function leaderChange(tried: Tried, id: 'heavierLeader' | 'longerLeader'): Outcome | undefined {
  const leaders = tried.setup.trace.pieces.filter(isLine).filter(({ role }) => role === 'leader')
  const ends = linesToHooks(tried.setup.trace)
  if (id === 'longerLeader') return leaders.length === 0 ? undefined : edited(tried, () => scaled(tried.setup, leaders, LONGER))
  // Bitten off, it is the line at the hook that is to be heavier.
  const lines = tried.symptom === 'bittenOffAgain' || tried.symptom === 'bittenOff' || leaders.length === 0 ? ends : leaders
  return bestOf(
    tried,
    lineItems(tried.gear, lines[0], (item, line) => item.strengthN > 1.05 * line.strengthN),
    lines,
    'weakest',
  )
}

/** A weaker line between the sinker and what it hangs from. */
function withWeakLink(setup: Setup, sinker: Piece): EditResult {
  const added = addPart(setup, { at: 'end', of: parentId(sinker.attach), takes: sinker.id }, 'sinkerLink')
  return added.ok ? { ...added, trace: { ...added.trace, weakLink: added.chosen } } : added
}

/** A bite trace above each hook. */
function withBiteTraces(setup: Setup): EditResult {
  let result: EditResult = { ok: true, trace: setup.trace, chosen: '' }
  for (const { id, attach } of hookPieces(setup.trace)) {
    if (!result.ok) return result
    result = addPart({ ...setup, trace: result.trace }, { at: 'end', of: parentId(attach), takes: id }, 'biteTrace')
  }
  return result
}

/** A swivel in the middle of a line. */
const withSwivel = (setup: Setup, line: LinePiece | undefined): EditResult =>
  line ? splitLine(setup, line.id, line.lengthM / 2) : refused('no line leads to a hook')

/** As `edited`; offered untried where the trace as it is drawn does not take it. */
function ifItGoes(tried: Tried, edit: () => EditResult): Outcome | undefined {
  return edit().ok ? edited(tried, edit) : AS_IT_IS
}

/** Judges the trace beside what an edit makes of it; undefined where the edit cannot be made, or where it makes a moment fail. */
function edited({ setup }: Tried, edit: () => EditResult): Outcome | undefined {
  const result = edit()
  if (!result.ok) return undefined
  const [before, after] = [judge(setup).moments, judge({ ...setup, trace: result.trace }).moments]
  const costs = MOMENT_NAMES.flatMap((moment): Cost[] => {
    const [was, is] = [before[moment]?.verdict, after[moment]?.verdict]
    return was !== undefined && is !== undefined && was !== is ? [{ moment, before: was, after: is }] : []
  })
  return costs.some(({ after: verdict }) => verdict === 'fails') ? undefined : { costs }
}
