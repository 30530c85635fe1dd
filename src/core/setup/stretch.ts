import type { Catalogue } from '../catalogue/catalogue.ts'
import { type LineSpec, lineDiameterM } from '../catalogue/materials.ts'
import type { StretchyLine } from '../physics/strength/lunge.ts'
import type { PathElement } from './paths.ts'

/** A length of one line. */
export type LineLength = { line: LineSpec; lengthM: number }

/** The lines of a way through the trace, each as long as the way goes along it. */
export const linesAlong = (path: readonly PathElement[]): LineLength[] =>
  path.flatMap((element) =>
    element.kind === 'line' ? [{ line: element.line, lengthM: Math.abs(element.toM - element.fromM) }] : [],
  )

/** Lines as what stretches, each by its thickness and what it is made of; what has no length does not. */
export const stretchyLines = (catalogue: Catalogue, lines: readonly LineLength[]): StretchyLine[] =>
  lines
    .filter(({ lengthM }) => lengthM > 0)
    .map(({ line, lengthM }) => ({
      lengthM,
      diameterM: lineDiameterM(catalogue, line),
      modulusPa: catalogue.materials[line.material].modulusPa,
    }))
