import { useMemo } from 'react'
import { peakByLineOut, unsafeFromM } from '../../../core/moments/peakByLineOut.ts'
import type { Run } from '../../../core/moments/run.ts'
import type { Conditions } from '../../../core/trace/conditions.ts'
import { withArticle } from '../../../core/trace/names.ts'
import type { Outfit } from '../../../core/trace/outfit.ts'
import type { Trace } from '../../../core/trace/schema.ts'
import { QUANTITIES } from '../../../core/units/quantities.ts'
import { PeakChart } from '../../charts/PeakChart.tsx'
import { usePreferences, useShow } from '../../settings/preferences.tsx'
import { useWidth } from '../../ui/useWidth.ts'
import { VerdictMark } from '../../ui/VerdictMark.tsx'
import { linkName } from '../../words/names.ts'
import { fuseWords, percent } from '../../words/verdictWords.ts'

type Props = { run: Run; trace: Trace; outfit: Outfit; conditions: Conditions }

/** What goes first in a run, what the settings people use would do, and how the peak grows with line out. */
export function RunWhy({ run, trace, outfit, conditions }: Props) {
  const show = useShow()
  const { units } = usePreferences()
  const { ref, width } = useWidth<HTMLDivElement>()
  const points = useMemo(() => peakByLineOut(trace, outfit, conditions, run.end), [trace, outfit, conditions, run.end])
  const unsafeM = unsafeFromM(points)
  const deciding = run.paths.find(({ end }) => end === run.end)!
  const name = (id: string) => linkName(trace, outfit, id)
  const missed = trace.fuse === deciding.goesFirst.id ? -1 : deciding.links.findIndex(({ id }) => id === trace.fuse)
  const crossing =
    unsafeM === undefined
      ? 'With the drag as set the peak stays under what the chain is allowed, down to the last of the line.'
      : unsafeM === 0
        ? 'With the drag as set the peak is past what the chain is allowed from the first metre.'
        : `With the drag as set the peak passes what the chain is allowed from about ${show.entered('length', Math.round(unsafeM / 5) * 5)} of line out.`
  const inUnit = (quantity: 'strength' | 'length') => ({
    unit: units[quantity],
    factor: (QUANTITIES[quantity].units as Record<string, number>)[units[quantity]]!,
  })
  return (
    <div className="mb-3 grid grid-cols-[minmax(0,1fr)] gap-2 text-sm">
      <p>
        If it breaks in a run: {fuseWords(deciding.goesFirst, name)}.
        {missed >= 0 &&
          ` The fuse you chose, ${withArticle(name(trace.fuse!))}, goes first only ${percent(deciding.first[missed]!)}.`}
      </p>
      <div ref={ref}>
        {width > 0 && (
          <PeakChart
            points={points}
            lineOutM={conditions.lineOutM}
            unsafeFromM={unsafeM}
            width={width}
            force={inUnit('strength')}
            length={inUnit('length')}
            summary={`Peak load against line out. ${crossing}`}
          />
        )}
      </div>
      <p>
        <span className="font-semibold text-watch">The peak</span>, solid, under{' '}
        <span className="font-semibold text-fails">what is allowed</span>, dashed; the upright line is where you fish. {crossing}
      </p>
      <table className="w-full">
        <caption className="text-left text-quiet">What people set</caption>
        <tbody>
          {run.schools.map(({ name, dragN, peakN, survival, verdict }) => (
            <tr key={name} className="border-t border-rule">
              <th scope="row" className="py-1 pr-2 text-left font-normal">
                {name === 'full' ? 'all the reel gives' : `${name} of line class`}
              </th>
              <td className="pr-2 text-right whitespace-nowrap">{show.computed('strength', dragN)}</td>
              <td className="pr-2 text-right whitespace-nowrap text-quiet">peak {show.computed('strength', peakN)}</td>
              <td className="pr-2 text-right whitespace-nowrap text-quiet">whole {percent(survival)}</td>
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
