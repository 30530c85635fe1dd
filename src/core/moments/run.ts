import { lineDiameterM } from '../gear/materials.ts'
import { type DragInput, type DragResult, strengthDrag } from '../strength/drag.ts'
import { DRAG_SCHOOLS } from '../strength/dragSchools.ts'
import { survivalAt } from '../strength/failure.ts'
import type { Link } from '../strength/pathLinks.ts'
import { strengthWaterDragN } from '../strength/waterDrag.ts'
import { mainLine } from '../trace/outfit.ts'
import { type Fuse, fuseOf } from './fuse.ts'
import { type Input, type Moment, type Verdict, worseVerdict, worstOf } from './moment.ts'
import { asUncertain, type EndPath, type Workings } from './workings.ts'

/** Drag over the ceiling up to which a run is to be watched, and the survival under which it is never better. */
const WATCH_OVER_CEILING = 1.15
const SAFE_SURVIVAL = 0.98

const WOUND_NAMES = { backing: 'backing', main: 'main line', topShot: 'top shot' } as const

type RunPath = {
  end: string
  links: Link[]
  weakest: Link
  first: number[]
  goesFirst: Fuse
  drag: DragResult
  survival: number
  verdict: Verdict
  margin: number
}
/** A setting that people use, judged on the path that decides. */
export type School = { name: string; dragN: number; peakN: number; survival: number; verdict: Verdict }
export type Run = Moment & { paths: RunPath[]; waterDragN: number; lineClassN: number; schools: School[] }

/** Drag of the line out, each wound line by its own diameter, N. */
export function waterDragN({ out, conditions }: Pick<Workings, 'out' | 'conditions'>): number {
  return out.reduce(
    (sum, { line, outM }) =>
      sum + strengthWaterDragN({ lineOutM: outM, diameterM: lineDiameterM(line), speedMperS: conditions.fishSpeedMperS }),
    0,
  )
}

/**
 * Run: whether the drag as set leaves every chain to a hook or lure whole.
 * Within the ceiling holds, within 1.15 of it is to be watched, beyond fails; never better than `watch` where the chance
 * that nothing goes at the peak is under 0.98. Undefined for a trace without a hook or lure.
 */
export function runMoment(workings: Workings): Run | undefined {
  const water = waterDragN(workings)
  const lineClassN = mainLine(workings.outfit).strengthN
  const paths = workings.ends
    .filter(({ role }) => role !== 'sinker')
    .map((end) => runPath(workings, workings.path(end.id), water, lineClassN, workings.conditions.dragN))
  const worst = worstOf(paths)
  if (!worst) return undefined
  return {
    moment: 'run',
    verdict: worst.verdict,
    end: worst.end,
    decides: worst.weakest.id,
    figure: { name: 'dragCeiling', value: worst.drag.ceilingN, unit: 'N' },
    margin: worst.margin,
    inputs: inputsOf(workings, worst, water, lineClassN),
    paths,
    waterDragN: water,
    lineClassN,
    schools: schoolsOf(workings, worst.end, water, lineClassN),
  }
}

/** What people set: shares of line class, and all that the reel gives. */
function schoolsOf(workings: Workings, end: string, waterN: number, lineClassN: number): School[] {
  const settings = [
    ...DRAG_SCHOOLS.map(({ name, share }) => ({ name, dragN: share * lineClassN })),
    { name: 'full', dragN: workings.outfit.reel.highestDragN },
  ]
  return settings.map(({ name, dragN }) => {
    const { drag, survival, verdict } = runPath(workings, workings.path(end), waterN, lineClassN, dragN)
    return { name, dragN, peakN: drag.peakN, survival, verdict }
  })
}

function runPath(workings: Workings, path: EndPath, waterN: number, lineClassN: number, dragN: number): RunPath {
  const drag = strengthDrag(dragInput(workings, path.weakest.strengthN, waterN, lineClassN, dragN))
  const survival = survivalAt(asUncertain(path.links), drag.peakN)
  const margin = drag.ceilingN / dragN
  const byDrag: Verdict = margin >= 1 ? 'holds' : margin * WATCH_OVER_CEILING >= 1 ? 'watch' : 'fails'
  const verdict = survival < SAFE_SURVIVAL ? worseVerdict(byDrag, 'watch') : byDrag
  const { links, weakest, first } = path
  return { end: path.end.id, links, weakest, first, goesFirst: fuseOf(path), drag, survival, verdict, margin }
}

/** What `strength.drag` is asked of the reel set to `dragN`, with the line out as the spool says. */
export function dragInput(
  { conditions, spool }: Pick<Workings, 'conditions' | 'spool'>,
  weakestN: number,
  waterN: number,
  lineClassN: number,
  dragN: number,
): DragInput {
  return {
    weakestN,
    lineClassN,
    spoolFullRadiusM: spool.radiusFullM,
    spoolRadiusM: spool.radiusM,
    // Measured at the tip, the setting has the guides' friction in it already.
    guideWrapRad: conditions.dragMeasuredAt === 'tip' ? 0 : conditions.guideWrapRad,
    guideFriction: conditions.guideFriction,
    startFactor: conditions.startFactor,
    waterDragN: waterN,
    allowedFraction: conditions.allowedFraction,
    dragN,
  }
}

function inputsOf({ conditions, spool, out, ends }: Workings, worst: RunPath, waterN: number, lineClassN: number): Input[] {
  const hook = ends.some(({ id, role }) => id === worst.end && role === 'hook')
    ? worst.links.find(({ id }) => id === worst.end)
    : undefined
  return [
    { name: 'drag set', value: conditions.dragN, unit: 'N', from: 'document' },
    { name: 'drag measured at', value: conditions.dragMeasuredAt, unit: '', from: 'document' },
    { name: 'line out', value: conditions.lineOutM, unit: 'm', from: 'document' },
    { name: 'lines out', value: out.map(({ line }) => WOUND_NAMES[line.role]).join(', '), unit: '', from: 'computed' },
    { name: 'line class', value: lineClassN, unit: 'N', from: 'document' },
    { name: 'weakest link', value: worst.weakest.strengthN, unit: 'N', from: worst.weakest.basis },
    ...(hook ? [{ name: 'hook straightens at', value: hook.strengthN, unit: 'N', from: hook.basis }] : []),
    { name: 'spool radius, full', value: spool.radiusFullM, unit: 'm', from: 'computed' },
    { name: 'spool radius, line out', value: spool.radiusM, unit: 'm', from: 'computed' },
    { name: 'start factor', value: conditions.startFactor, unit: '', from: 'document' },
    { name: 'guide friction', value: conditions.guideFriction, unit: '', from: 'document' },
    { name: 'guide wrap', value: conditions.guideWrapRad, unit: 'rad', from: 'document' },
    { name: 'fish speed', value: conditions.fishSpeedMperS, unit: 'm/s', from: 'document' },
    { name: 'water drag on the line', value: waterN, unit: 'N', from: 'computed' },
    { name: 'allowed fraction', value: conditions.allowedFraction, unit: '', from: 'rule' },
    { name: 'multiplier', value: worst.drag.multiplier, unit: '', from: 'computed' },
    { name: 'peak in a run', value: worst.drag.peakN, unit: 'N', from: 'computed' },
    { name: 'chance that nothing goes at the peak', value: worst.survival, unit: '', from: 'computed' },
  ]
}
