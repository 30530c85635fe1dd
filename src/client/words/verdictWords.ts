import type { Cast } from '../../core/moments/cast.ts'
import type { Evaluation } from '../../core/moments/evaluate.ts'
import type { MomentName } from '../../core/moments/moment.ts'
import type { Run } from '../../core/moments/run.ts'
import type { Snag } from '../../core/moments/snag.ts'
import type { Show } from '../settings/preferences.tsx'

export const MOMENT_NAMES: Record<MomentName, string> = { cast: 'Cast', run: 'Run', snag: 'Snag' }
export const MOMENT_ORDER: readonly MomentName[] = ['cast', 'run', 'snag']

export const percent = (share: number, decimals = 0) => `${(share * 100).toFixed(decimals)} %`

/** The figure behind a verdict, in one line. */
export function figureWords(evaluation: Evaluation, name: MomentName, show: Show): string {
  const moment = evaluation[name]
  if (!moment) return ''
  if (name === 'cast') return castFigure(moment as Cast, show)
  return name === 'run' ? runFigure(moment as Run, show) : snagFigure(moment as Snag)
}

const castFigure = (cast: Cast, show: Show) =>
  `peak ${show.computed('strength', cast.peakN)}, weakest ${cast.figure.value.toFixed(1)}× that`

function runFigure(run: Run, show: Show): string {
  const deciding = run.paths.find(({ end }) => end === run.end)!
  return `safe to ${show.computed('strength', run.figure.value)}, peak ${show.computed('strength', deciding.drag.peakN)}`
}

function snagFigure(snag: Snag): string {
  const deciding = snag.paths.find(({ end }) => end === snag.end)!
  const what = deciding.wanted === 'weakLink' ? 'weak link goes first' : 'main line is kept'
  return `${what}: ${percent(snag.figure.value)}`
}
