import type { Catalogue } from '../catalogue/catalogue.ts'
import type { Material } from '../catalogue/ids.ts'
import { LINE_SPREAD } from '../catalogue/materials.ts'
import type { Observation, StraightPull } from '../documents/observation.ts'
import { testedEfficiency } from '../physics/strength/testedEfficiency.ts'
import { activeObservations } from './activeObservations.ts'

/** A label counts as one pull: most lines are printed under what they break at, some over. Ours. */
const PRIOR = { priorWeight: 1, priorDegrees: 6 }
/** Labels nearer to each other than this are one. */
const ONE_LABEL = 0.005

/** What a line was cut from: one spool of the box, or any of a material and a label. */
export type CutFrom = { material: Material; labelN: number; spoolId?: string | undefined }
/** What straight pulls say that a line bears dry, with the interval that holds it nine times in ten. */
export type LineLesson = { strengthN: number; lowN: number; highN: number; pulls: StraightPull[] }

/** The straight pulls that count of everything that was told. */
export const activeStraightPulls = (told: readonly Observation[]): StraightPull[] =>
  activeObservations(told).filter((each): each is StraightPull => each.kind === 'straight')

/** Every line that was pulled straight, each once, in the order in which they first were. */
export function linesPulled(pulls: readonly StraightPull[]): CutFrom[] {
  const found: CutFrom[] = []
  for (const { material, labelN, spoolId } of pulls)
    if (!found.some((line) => isOf(line, { material, labelN, spoolId }))) found.push({ material, labelN, spoolId })
  return found
}

/** Every pull of a line, those that were discarded among them. */
export const straightsOf = (told: readonly StraightPull[], line: CutFrom): StraightPull[] =>
  told.filter((pull) => isOf(line, pull))

/**
 * What a line bears by its own straight pulls.
 * @returns undefined where none of them counts.
 */
export function lineLesson({ materials }: Catalogue, told: readonly StraightPull[], line: CutFrom): LineLesson | undefined {
  const pulls = straightsOf(told, line).filter(({ discarded }) => discarded === undefined)
  if (pulls.length === 0) return undefined
  const tested = pulls.map(({ loadN, wet }) => loadN / (line.labelN * (wet ? materials[line.material].wetCondition : 1)))
  const { mean, low, high } = testedEfficiency({ ...PRIOR, nominalEfficiency: 1, nominalVariation: LINE_SPREAD, tested })
  const [strengthN, lowN, highN] = [mean, low, high].map((share) => share * line.labelN) as [number, number, number]
  return { strengthN, lowN, highN, pulls }
}

const isOf = (line: CutFrom, pull: CutFrom) =>
  line.spoolId === undefined || pull.spoolId === undefined
    ? line.spoolId === pull.spoolId && line.material === pull.material && Math.abs(pull.labelN / line.labelN - 1) < ONE_LABEL
    : line.spoolId === pull.spoolId
