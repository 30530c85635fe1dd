import type { Catalogue } from '../../catalogue/catalogue.ts'
import { lineDiameterM } from '../../catalogue/materials.ts'
import { parentId, pieceById } from '../../documents/pieces.ts'
import { SEA_WATER_KG_PER_M3 } from '../../math/constants.ts'
import { TANGENTIAL_COEFFICIENT } from '../../physics/water/lineInFluid.ts'
import { submergedWeightN } from '../../physics/water/sphere.ts'
import { alongM, lineAlongM, type PathElement } from '../../soundness/paths.ts'
import type { PreparedSetup } from '../prepareSetup.ts'
import type { Rig } from '../setup.ts'
import { baitFallAreaM2, type Sinker, weightOfSinker } from './settling.ts'

/** A weight as it falls with its bait, end on, and the line it draws down after it where the ways part. */
export type Falling = { sinker: Sinker; areaM2: number; speedMperS: number }

type Branch = { sinker: Sinker; lines: Extract<PathElement, { kind: 'line' }>[]; lengthM: number }

/**
 * The two heaviest weights that hang on lines of their own: the lower, by the length of its way, must outrun the upper through
 * still water, or they foul. Undefined where there are not two.
 */
type Walked = Pick<PreparedSetup, 'trace' | 'catalogue' | 'tracePath'>

export function sinkOrder({ trace, catalogue, tracePath }: Walked): { lower: Falling; upper: Falling } | undefined {
  const branches = trace.pieces
    .filter((piece): piece is Sinker => piece.role === 'sinker')
    .toSorted((a, b) => b.massKg - a.massKg)
    .map((sinker): Branch => {
      const lines = tracePath(sinker.id).filter((element) => element.kind === 'line')
      return { sinker, lines, lengthM: lineAlongM(lines) }
    })
  const [first] = branches
  const second = branches.find((branch) => first && hangsApart(first, branch) && hangsApart(branch, first))
  if (!first || !second) return undefined
  const [lower, upper] = first.lengthM > second.lengthM ? [first, second] : [second, first]
  const rig = { trace, catalogue }
  return { lower: fallingOf(rig, lower, upper), upper: fallingOf(rig, upper, lower) }
}

/** Whether the line a weight hangs by is not on the other's way. */
const hangsApart = (branch: Branch, other: Branch) => {
  const last = branch.lines.at(-1)
  return last !== undefined && !other.lines.some(({ line }) => line.id === last.line.id)
}

function fallingOf({ trace, catalogue }: Pick<Rig, 'trace' | 'catalogue'>, { sinker, lines }: Branch, other: Branch): Falling {
  const own = lines.filter(({ line }) => !other.lines.some((each) => each.line.id === line.id))
  const drawnM2 = own.reduce((sum, element) => sum + lineDiameterM(catalogue, element.line) * alongM(element), 0)
  const bait = pieceById(trace, parentId(sinker.attach))?.role === 'hook'
  const areaM2 =
    weightOfSinker(catalogue, sinker).fallAreaM2 +
    TANGENTIAL_COEFFICIENT * drawnM2 +
    (bait ? baitFallAreaM2({ trace, catalogue }) : 0)
  return { sinker, areaM2, speedMperS: fallSpeedMperS(catalogue, sinker, areaM2) }
}

/** Terminal speed of a sinker with a drag area, m/s. Source: weight against quadratic drag. */
export function fallSpeedMperS(catalogue: Catalogue, sinker: Sinker, areaM2: number): number {
  const { massKg, densityKgperM3 } = weightOfSinker(catalogue, sinker)
  return Math.sqrt((2 * submergedWeightN(massKg, densityKgperM3, SEA_WATER_KG_PER_M3)) / (SEA_WATER_KG_PER_M3 * areaM2))
}
