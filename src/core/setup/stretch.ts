import type { Catalogue } from '../catalogue/catalogue.ts'
import { type LineSpec, lineDiameterM } from '../catalogue/materials.ts'
import type { StretchyLine } from '../physics/strength/lunge.ts'

/** Lines as what stretches, each by its thickness and what it is made of; what has no length does not. */
export const stretchyLines = (catalogue: Catalogue, lines: readonly { line: LineSpec; lengthM: number }[]): StretchyLine[] =>
  lines
    .filter(({ lengthM }) => lengthM > 0)
    .map(({ line, lengthM }) => ({
      lengthM,
      diameterM: lineDiameterM(catalogue, line),
      modulusPa: catalogue.materials[line.material].modulusPa,
    }))
