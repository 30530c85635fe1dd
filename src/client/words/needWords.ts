import type { Need } from '../../core/batch/needs.ts'
import type { Catalogue } from '../../core/catalogue/catalogue.ts'
import type { Show } from '../settings/show.ts'
import { lineSpec, pieceSpec } from './names.ts'

/** A line or part that a trace is made from, in short. */
export const needWords = (catalogue: Catalogue, need: Need, show: Show): string =>
  need.kind === 'line' ? lineSpec(catalogue, need, show) : pieceSpec(catalogue, need.sample, show)
