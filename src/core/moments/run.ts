import { pieceNamed } from '../documents/pieces.ts'
import { mainLine, spoolInput } from '../outfits/outfitLines.ts'
import { type DragResult, strengthDrag } from '../physics/strength/drag.ts'
import { type DragLoad, dragInput, lineDragN, waterDragInput } from '../setup/drag.ts'
import type { Link } from '../setup/pathLinks.ts'
import { type EndPath, failingOf, type PreparedSetup } from '../setup/prepareSetup.ts'
import { biteOff, gradedBite } from './biteOff.ts'
import { chainRequest } from './chainRequest.ts'
import { type Fuse, fuseOf } from './fuse.ts'
import {
  type CalculationRequest,
  decisive,
  type Figure,
  type Graded,
  type Input,
  type MomentKind,
  type MomentResult,
  type Verdict,
  worseVerdict,
  worstOf,
} from './moment.ts'
import { gradedRush, type Rush, rushInputs, rushOn, rushRequest } from './rush.ts'
import { SAFE_SURVIVAL, WATCH_OVER_CEILING } from './thresholds.ts'

/** What a run is judged by: the ceiling of the drag, the chance to hold at the peak, a sudden rush, and the teeth of the fish. */
export type RunCause = 'drag' | 'survival' | 'rush' | 'teeth'

type RunPath = {
  end: string
  links: Link[]
  weakest: Link
  first: number[]
  goesFirst: Fuse
  drag: DragResult
  survival: number
  /** A sudden rush with the line out as it is. */
  rush: Rush
  /** By the drag as set, without a rush. */
  byDrag: Verdict
  /** What decides: the verdict, the figure and the margin are its own. */
  cause: RunCause
  figure: Figure
  verdict: Verdict
  margin: number
}
/** A setting that people use, judged on the path that decides. */
export type School = { name: string; dragN: number; peakN: number; survival: number; verdict: Verdict }
export type Run = MomentResult<'run'> & {
  paths: RunPath[]
  /** The path that decides. */
  deciding: RunPath
  /** The highest drag that the deciding chain allows, N. */
  dragCeilingN: number
  /** The drag that is set, N: where nobody gave one, the one that follows from the chain. */
  dragN: number
  waterDragN: number
  lineClassN: number
  schools: School[]
}

/** Whether the drag as set leaves every chain to a hook or lure whole. */
export const RUN: MomentKind<Run> = {
  judge: judgeRun,
  derive: deriveRun,
  levers: [
    { of: 'conditions', field: 'dragN', quantity: 'strength' },
    { of: 'conditions', field: 'lineOutM', quantity: 'length' },
    { of: 'conditions', field: 'fishSpeedMperS', quantity: 'speed' },
    { of: 'conditions', field: 'startFactor', quantity: 'ratio' },
    { of: 'conditions', field: 'guideFriction', quantity: 'ratio' },
    { of: 'conditions', field: 'guideWrapRad', quantity: 'ratio' },
    { of: 'conditions', field: 'allowedFraction', quantity: 'ratio' },
    { of: 'conditions', field: 'lineSpread', quantity: 'ratio' },
    { of: 'conditions', field: 'pulledSpread', quantity: 'ratio' },
  ],
}

/**
 * Within the ceiling holds, within 1.15 of it is to be watched, beyond fails; never better than `watch` where the chance
 * that nothing goes at the peak is under 0.98, nor better than a sudden rush leaves it. Undefined for a trace without a hook or lure.
 */
function judgeRun(setup: PreparedSetup): Run | undefined {
  const waterDragN = lineDragN(setup)
  const lineClassN = mainLine(setup.outfit).strengthN
  const paths = setup.ends
    .filter(({ role }) => role !== 'sinker')
    .map(({ id }) => runPath(setup, setup.path(id), { waterDragN, lineClassN, dragN: setup.conditions.dragN }))
  const deciding = worstOf(paths)
  if (!deciding) return undefined
  return {
    moment: 'run',
    verdict: deciding.verdict,
    end: deciding.end,
    decides: deciding.weakest.ref,
    figure: deciding.figure,
    margin: deciding.margin,
    dragCeilingN: deciding.drag.ceilingN,
    dragN: setup.conditions.dragN,
    inputs: inputsOf(setup, deciding, waterDragN, lineClassN),
    paths,
    deciding,
    waterDragN,
    lineClassN,
    schools: schoolsOf(setup, deciding.end, waterDragN, lineClassN),
  }
}

/** What people set: shares of line class, and all that the reel gives. */
function schoolsOf(setup: PreparedSetup, end: string, waterDragN: number, lineClassN: number): School[] {
  const settings = [
    ...setup.catalogue.dragSchools.map(({ name, share }) => ({ name, dragN: share * lineClassN })),
    { name: 'full', dragN: setup.outfit.reel.highestDragN },
  ]
  return settings.map(({ name, dragN }) => {
    const { drag, survival, byDrag } = dragged(setup, setup.path(end), { waterDragN, lineClassN, dragN })
    return { name, dragN, peakN: drag.peakN, survival, verdict: byDrag }
  })
}

function runPath(setup: PreparedSetup, path: EndPath, load: DragLoad): RunPath {
  const { end, links, weakest, first } = path
  const { graded, ...byDrag } = dragged(setup, path, load)
  const rush = rushOn(setup, end.id, { lineOutM: setup.lineOutM, atSide: false })
  const bite = end.role === 'hook' ? biteOff(setup, end) : undefined
  return {
    ...{ end: end.id, links, weakest, first, goesFirst: fuseOf(path), rush },
    ...byDrag,
    ...decisive<RunCause>([...graded, gradedRush(rush), ...(bite?.isRisk ? [gradedBite(bite)] : [])]),
  }
}

/** What a drag does to a path: its peak, and what decides. */
type Dragged = Pick<RunPath, 'drag' | 'survival' | 'byDrag'> & { graded: [Graded<RunCause>, Graded<RunCause>] }

function dragged(setup: PreparedSetup, { weakest, survival: survivalAt }: EndPath, load: DragLoad): Dragged {
  const drag = strengthDrag(dragInput(setup, weakest.strengthN, load))
  const survival = survivalAt(drag.peakN)
  const margin = drag.ceilingN / load.dragN
  const byCeiling: Verdict = margin >= 1 ? 'holds' : margin * WATCH_OVER_CEILING >= 1 ? 'watch' : 'fails'
  const bySurvival: Verdict = survival < SAFE_SURVIVAL ? 'watch' : 'holds'
  return {
    drag,
    survival,
    byDrag: worseVerdict(byCeiling, bySurvival),
    graded: [
      { cause: 'drag', figure: { key: 'dragCeiling', quantity: 'strength', value: drag.ceilingN }, verdict: byCeiling, margin },
      {
        cause: 'survival',
        figure: { key: 'survivalAtPeak', quantity: 'share', value: survival },
        verdict: bySurvival,
        margin: survival / SAFE_SURVIVAL,
      },
    ],
  }
}

function inputsOf(setup: PreparedSetup, deciding: RunPath, waterDragN: number, lineClassN: number): Input[] {
  const { trace, conditions, lineOutM, spool, out } = setup
  const { weakest, drag, survival, links, end } = deciding
  const hook = pieceNamed(trace, end).role === 'hook' ? links.find(({ id }) => id === end) : undefined
  return [
    { key: 'dragSet', quantity: 'strength', value: conditions.dragN, origin: conditions.dragAssumed ? 'computed' : 'document' },
    { key: 'dragMeasuredAt', quantity: 'word', value: conditions.dragMeasuredAt, origin: 'document' },
    { key: 'lineOut', quantity: 'length', value: lineOutM, origin: lineOutM === conditions.lineOutM ? 'document' : 'computed' },
    ...out.map(({ line }): Input => ({ key: 'lineThatIsOut', quantity: 'word', value: line.role, origin: 'computed' })),
    { key: 'lineClass', quantity: 'strength', value: lineClassN, origin: 'document' },
    { key: 'weakestLink', quantity: 'strength', value: weakest.strengthN, origin: weakest.origin, ref: weakest.ref },
    ...(hook ? [{ key: 'hookStraightensAt', quantity: 'strength', value: hook.strengthN, origin: hook.origin } as const] : []),
    { key: 'spoolRadiusFull', quantity: 'gearSize', value: spool.radiusFullM, origin: 'computed' },
    { key: 'spoolRadius', quantity: 'gearSize', value: spool.radiusM, origin: 'computed' },
    { key: 'startFactor', quantity: 'ratio', value: conditions.startFactor, origin: 'document' },
    { key: 'guideFriction', quantity: 'ratio', value: conditions.guideFriction, origin: 'document' },
    { key: 'guideWrap', quantity: 'angle', value: conditions.guideWrapRad, origin: 'document' },
    { key: 'fishSpeed', quantity: 'speed', value: conditions.fishSpeedMperS, origin: 'document' },
    { key: 'waterDrag', quantity: 'strength', value: waterDragN, origin: 'computed' },
    { key: 'allowedFraction', quantity: 'ratio', value: conditions.allowedFraction, origin: 'rule' },
    { key: 'multiplier', quantity: 'ratio', value: drag.multiplier, origin: 'computed' },
    { key: 'peakInRun', quantity: 'strength', value: drag.peakN, origin: 'computed' },
    { key: 'survivalAtPeak', quantity: 'share', value: survival, origin: 'computed' },
    ...rushInputs(setup, deciding.rush),
  ]
}

function deriveRun(setup: PreparedSetup, run: Run): CalculationRequest[] {
  const { conditions, out, outfit, catalogue } = setup
  const { links, weakest, drag, end } = run.deciding
  const water = out.map(
    (each): CalculationRequest => ({
      calculation: 'strength.waterDrag',
      input: waterDragInput(each, setup),
      from: { lineOutM: 'computed', diameterM: each.line.diameterM === undefined ? 'nominal' : 'document' },
    }),
  )
  const load = { waterDragN: run.waterDragN, lineClassN: run.lineClassN, dragN: conditions.dragN }
  const nominal = outfit.wound.some(({ diameterM }) => diameterM === undefined)
  return [
    {
      calculation: 'spool.fill',
      input: spoolInput(catalogue, outfit, setup.lineOutM),
      from: nominal ? { layers: 'nominal' } : {},
    },
    ...water,
    chainRequest(setup, end),
    {
      calculation: 'strength.drag',
      input: dragInput(setup, weakest.strengthN, load),
      from: {
        weakestN: 'computed',
        spoolFullRadiusM: 'computed',
        spoolRadiusM: 'computed',
        waterDragN: 'computed',
        allowedFraction: 'rule',
      },
    },
    {
      calculation: 'strength.failure',
      input: { links: failingOf(links), loadN: drag.peakN },
      from: { links: 'nominal', loadN: 'computed' },
    },
    rushRequest(setup, end, run.deciding.rush),
  ]
}
