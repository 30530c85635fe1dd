import { GRAVITY_M_PER_S2 } from '../../core/math/constants.ts'
import type { Cast } from '../../core/moments/cast.ts'
import type { Evaluation } from '../../core/moments/evaluate.ts'
import type { Fuse } from '../../core/moments/fuse.ts'
import type { Hand } from '../../core/moments/hand.ts'
import type { MomentName } from '../../core/moments/moment.ts'
import type { Run } from '../../core/moments/run.ts'
import type { Settle } from '../../core/moments/settle.ts'
import type { Snag } from '../../core/moments/snag.ts'
import { METHODS } from '../../core/trace/waterConditions.ts'
import type { Show } from '../settings/preferences.tsx'

export const MOMENT_NAMES: Record<MomentName, string> = { cast: 'Cast', settle: 'Settle', run: 'Run', snag: 'Snag', hand: 'Hand' }
export const MOMENT_ORDER: readonly MomentName[] = ['cast', 'settle', 'run', 'snag', 'hand']

/** A share with its sign, which never stands on a line of its own. */
export const percent = (share: number, decimals = 0) => `${(share * 100).toFixed(decimals)}\u00a0%`

/** The figure behind a verdict, in one line. */
export function figureWords(evaluation: Evaluation, name: MomentName, show: Show): string {
  const moment = evaluation[name]
  if (!moment) return ''
  if (name === 'cast') return castFigure(moment as Cast, show)
  if (name === 'settle') return settleFigure(moment as Settle, show)
  if (name === 'run') return runFigure(moment as Run, show)
  return name === 'snag' ? snagFigure(moment as Snag) : handFigure(moment as Hand, show)
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

function settleFigure({ settling: { weight }, wantedKg }: Settle, show: Show): string {
  const has = show.computed('mass', weight.massKg)
  return wantedKg === undefined ? `${has}; none would hold` : `${has}, ${show.computed('mass', wantedKg)} wanted`
}

function handFigure(hand: Hand, show: Show): string {
  return `weakest ${hand.figure.value.toFixed(1)}× a ${show.computed('fish', hand.weightN / GRAVITY_M_PER_S2)} fish`
}

/** What decides a moment; in a run and a snag, the fuse, or that there is none and chance decides. */
export function decidesWords(evaluation: Evaluation, name: MomentName, nameOf: (id: string) => string, show: Show): string {
  const moment = evaluation[name]
  if (!moment) return ''
  if (name === 'settle') return settleWords(moment as Settle)
  if (name === 'hand') return reachWords(moment as Hand, show) ?? `decides: ${nameOf(moment.decides)}`
  const paths: readonly { end: string; goesFirst: Fuse }[] =
    name === 'run' ? (moment as Run).paths : name === 'snag' ? (moment as Snag).paths : []
  const fuse = paths.find(({ end }) => end === moment.end)?.goesFirst
  if (!fuse) return `decides: ${nameOf(moment.decides)}`
  const chance = percent(fuse.probability)
  return `${fuse.byChance ? 'by chance' : 'fuse'}, ${chance}: ${nameOf(fuse.id)}`
}

/** How it is fished, and how long it sinks. */
const settleWords = ({ settling: { water }, sinkS }: Settle) =>
  `${METHODS[water.method].name}; ${sinkS === undefined ? 'does not sink' : `sinks in ${sinkS.toFixed(0)} s`}`

/** What keeps a fish out of the hand, in a word; undefined where nothing does. */
function reachWords({ deciding, longDrop }: Hand, show: Show): string | undefined {
  if (deciding.outOfReach) return 'out of reach: the trace is too short'
  if (deciding.tooLong) return `too long for the rod: ${show.computed('length', deciding.beyondTipM)}`
  return longDrop && `drop of ${show.computed('length', longDrop.lengthM)}: more than one lift`
}

/** Which link goes first, how sure that is, and what it leaves to chance. */
export function fuseWords(fuse: Fuse, name: (id: string) => string): string {
  if (!fuse.byChance) return `${name(fuse.id)} goes first, ${percent(fuse.probability)}`
  const rival = fuse.rival ? ` and ${name(fuse.rival.id)} (${percent(fuse.rival.probability)})` : ''
  return `chance decides between ${name(fuse.id)} (${percent(fuse.probability)})${rival}`
}
