import { lazy, Suspense, useMemo } from 'react'
import { sameLink } from '../../core/documents/linkRef.ts'
import { peakByLineOut, unsafeFromM } from '../../core/moments/peakByLineOut.ts'
import type { Run } from '../../core/moments/run.ts'
import { givesEnough, leastRush, type RushPoint, rushByLineOut } from '../../core/moments/rush.ts'
import { RUSH_SURVIVAL, SAFE_SURVIVAL, WATCH_OVER_CEILING } from '../../core/moments/thresholds.ts'
import { withArticle } from '../../core/setup/names.ts'
import type { Setup } from '../../core/setup/setup.ts'
import { percent } from '../../core/units/percent.ts'
import { factorToSi } from '../../core/units/quantities.ts'
import { VerdictMark } from '../fishing/VerdictMark.tsx'
import { usePreferences } from '../settings/preferences.tsx'
import type { Show } from '../settings/show.ts'
import { useWidth } from '../ui/useWidth.ts'
import { fuseWords, shortFuseWords } from '../words/fuseWords.ts'
import { WOUND_NAMES } from '../words/names.ts'
import { ROD_HELD_WORDS, RUSH_INPUTS, rushFigure } from '../words/rushWords.ts'
import { TEETH_FIGURE } from '../words/teethWords.ts'
import type { MomentView } from './momentView.ts'
import { useWording } from './useWording.ts'

/** The drawing is fetched once it is looked at: lists show verdicts only. */
const PeakChart = lazy(async () => ({ default: (await import('../charts/PeakChart.tsx')).PeakChart }))

export const RUN_VIEW: MomentView<Run> = {
  rule: (show) =>
    `The drag setting against the highest safe one: within it holds, up to ${show.plain(WATCH_OVER_CEILING)} times is watch. Under ${percent(SAFE_SURVIVAL)} survival at the peak it is watch at best. A sudden run before the spool turns holds from ${percent(RUSH_SURVIVAL.holds)} survival and fails under ${percent(RUSH_SURVIVAL.watch)}.`,
  absent: () => 'No fish can run: the trace has no hook and no lure.',
  figure: ({ dragCeilingN, deciding: { cause, survival, drag, rush } }, { show }) =>
    cause === 'rush'
      ? rushFigure(rush, show)
      : cause === 'teeth'
        ? TEETH_FIGURE
        : cause === 'survival'
          ? `A run pulls up to ${show.computed('strength', drag.peakN)}; the trace holds in ${percent(survival)} of runs.`
          : `Set the drag up to ${show.computed('strength', dragCeilingN)}.`,
  decides: ({ deciding }, { nameOf }) => shortFuseWords(deciding.goesFirst, nameOf),
  inputs: {
    dragSet: 'drag setting',
    dragMeasuredAt: 'drag measured at',
    lineOut: 'line out',
    lineThatIsOut: 'line outside the reel',
    lineClass: 'line class',
    weakestLink: 'weakest link',
    hookStraightensAt: 'hook opens at',
    spoolRadiusFull: 'spool radius, full',
    spoolRadius: 'spool radius, line out',
    startFactor: 'start factor',
    guideFriction: 'guide friction',
    guideWrap: 'guide wrap',
    fishSpeed: 'fish speed',
    waterDrag: 'water drag on the line',
    allowedFraction: 'allowed fraction',
    multiplier: 'multiplier',
    peakInRun: 'run, up to',
    survivalAtPeak: 'chance to hold at the peak',
    ...RUSH_INPUTS,
  },
  words: () => ({ ...WOUND_NAMES, reel: 'the reel', tip: 'the rod tip', ...ROD_HELD_WORDS }),
  Why: RunWhy,
}

const roundTo5 = (lengthM: number) => Math.max(1, Math.round(lengthM / 5) * 5)

/** What a sudden rush pulls before the spool turns: at the boat, and where it is least. */
function RushWords({ rush, show }: { rush: readonly RushPoint[]; show: Show }) {
  const [near, least] = [rush[0], leastRush(rush, 'pointed')]
  if (!near || !least) return null
  const force = (si: number) => show.computed('strength', si)
  return (
    <p>
      <span className="font-semibold">A sudden run</span> before the spool turns, thin: with a metre of line out it pulls{' '}
      {force(near.bentN)} with the rod bent and {force(near.pointedN)} with the rod pointed at the fish (dotted).{' '}
      {givesEnough(least)
        ? 'The trace stretches enough: the load only grows as the spool empties.'
        : `With the rod pointed the load is lowest, ${force(least.pointedN)}, with about ${show.entered('length', roundTo5(least.lineOutM))} out: a shorter line stretches less, a longer one leaves less on the spool.`}{' '}
      The spool mass is estimated from its capacity.
    </p>
  )
}

/** What goes first in a run, what the settings people use would do, and how the peak grows with line out. */
function RunWhy({ result: run, setup }: { result: Run; setup: Setup }) {
  const { show, nameOf } = useWording(setup)
  const { trace, conditions } = setup
  const { units } = usePreferences()
  const { ref, width } = useWidth<HTMLDivElement>()
  const points = useMemo(() => peakByLineOut(setup, run.end), [setup, run.end])
  const unsafeM = unsafeFromM(points)
  const rush = useMemo(() => rushByLineOut(setup, run.end), [setup, run.end])
  const { deciding } = run
  const { fuse } = trace
  const missed = sameLink(fuse, deciding.goesFirst.ref) ? -1 : deciding.links.findIndex(({ ref }) => sameLink(ref, fuse))
  const crossing =
    unsafeM === undefined
      ? 'With this drag the peak stays within the limit to the last of the line.'
      : unsafeM === 0
        ? 'With this drag the peak is over the limit from the first metre.'
        : `With this drag the peak exceeds the limit from about ${show.entered('length', roundTo5(unsafeM))} of line out.`
  const inUnit = (quantity: 'strength' | 'length') => ({
    unit: units[quantity],
    factor: factorToSi(quantity, units[quantity]) ?? 1,
  })
  return (
    <div className="mb-3 grid grid-cols-[minmax(0,1fr)] gap-2 text-sm">
      <p>
        If it breaks in a run: {fuseWords(deciding.goesFirst, nameOf)}.
        {fuse &&
          missed >= 0 &&
          ` The fuse you chose, ${withArticle(nameOf(fuse))}, breaks first only ${percent(deciding.first[missed] ?? 0)}.`}
      </p>
      <div ref={ref}>
        {width > 0 && (
          <Suspense fallback={<div className="h-42" />}>
            <PeakChart
              points={points}
              rush={rush}
              lineOutM={conditions.lineOutM}
              unsafeFromM={unsafeM}
              width={width}
              force={inUnit('strength')}
              length={inUnit('length')}
              summary={`Peak load by line out. ${crossing}`}
            />
          </Suspense>
        )}
      </div>
      <p>
        <span className="font-semibold text-watch">The peak</span>, solid, under{' '}
        <span className="font-semibold text-fails">the limit</span>, dashed; the vertical line is your line out. {crossing}
      </p>
      <RushWords rush={rush} show={show} />
      <table className="w-full">
        <caption className="text-left text-quiet">Usual drag settings</caption>
        <tbody>
          {run.schools.map(({ name, dragN, peakN, survival, verdict }) => (
            <tr key={name} className="border-t border-rule">
              <th scope="row" className="py-1 pr-2 text-left font-normal">
                {name === 'full' ? 'highest drag of the reel' : `${name} of line class`}
              </th>
              <td className="pr-2 text-right whitespace-nowrap">{show.computed('strength', dragN)}</td>
              <td className="pr-2 text-right whitespace-nowrap text-quiet">peak {show.computed('strength', peakN)}</td>
              <td className="pr-2 text-right whitespace-nowrap text-quiet">holds {percent(survival)}</td>
              <td className="w-20">
                <VerdictMark verdict={verdict} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
