import { useDeferredValue, useMemo, useState } from 'react'
import { tried } from '../../../core/analysis/judged.ts'
import { type Conditions, ROD_HELD } from '../../../core/documents/conditions.ts'
import { judge } from '../../../core/moments/judge.ts'
import { givesEnough, leastRush, type RushPoint, rushByLineOut, rushPeakN } from '../../../core/moments/rush.ts'
import { CURVE_LOOKS, CurveChart, CurveSample } from '../../charts/CurveChart.tsx'
import { useAxis } from '../../charts/useAxis.ts'
import { useShow } from '../../settings/preferences.tsx'
import type { Show } from '../../settings/show.ts'
import { Select, Sheet } from '../../ui/controls.tsx'
import { useWidth } from '../../ui/useWidth.ts'
import { ROD_HELD_WORDS } from '../../words/rushWords.ts'
import type { Side } from './side.ts'

const HEIGHT = 220

/** What a sudden rush pulls by line out, of all that are compared over each other: near the boat the line does not give, far out the spool is small. */
export function RushCurves({ sides }: { sides: Side[] }) {
  const show = useShow()
  const axis = useAxis()
  const { ref, width } = useWidth<HTMLDivElement>()
  const [held, setHeld] = useState<Conditions['rodHeld']>('pointed')
  const later = useDeferredValue(sides)
  const rushes = useMemo(() => later.flatMap(rushOf), [later])
  if (rushes.length === 0) return null
  const mostM = Math.max(...rushes.flatMap(({ points }) => points.map(({ lineOutM }) => lineOutM)))
  const mostN = Math.max(...rushes.flatMap(({ points }) => points.map((point) => rushPeakN(point, held))))
  const words = rushes.map(({ points }) => rushWords(points, held, show))
  return (
    <Sheet
      title="A sudden run by line out"
      aside={
        <span className="w-52">
          <Select
            aria-label="Rod held"
            value={held}
            onChoose={(next) => setHeld(next)}
            choices={ROD_HELD.map((each) => ({ value: each, text: `rod ${ROD_HELD_WORDS[each]}` }))}
          />
        </span>
      }
    >
      <div ref={ref} style={{ minHeight: HEIGHT }}>
        {width > 0 && (
          <CurveChart
            curves={rushes.map(({ key, points }, i) => ({
              id: key,
              look: CURVE_LOOKS[i] ?? 'thin',
              points: points.map((point) => ({ x: point.lineOutM, y: rushPeakN(point, held) })),
            }))}
            span={{ x: [1, mostM], y: [0, 1.1 * mostN], decades: true }}
            x={axis('line out', 'length')}
            y={axis('pull', 'strength')}
            width={width}
            height={HEIGHT}
            summary={`Load of a sudden run by line out, the rod ${ROD_HELD_WORDS[held]}. ${rushes.map(({ title }, i) => `${title}: ${words[i]}`).join(' ')}`}
          />
        )}
      </div>
      <ul className="mt-1 grid gap-1 text-sm">
        {rushes.map(({ key, title }, i) => (
          <li key={key}>
            <CurveSample look={CURVE_LOOKS[i] ?? 'thin'} />
            <strong>{title}</strong>: {words[i]}
          </li>
        ))}
      </ul>
      <p className="mt-1 text-sm text-quiet">
        Load before the spool turns. Estimates with nominal line stretch and a spool mass from its capacity.
      </p>
    </Sheet>
  )
}

function rushOf({ key, title, setup }: Side): { key: string; title: string; points: RushPoint[] }[] {
  const worked = tried(() => {
    const { run } = judge(setup, ['run']).moments
    return run && rushByLineOut(setup, run.end)
  })
  return worked.ok && worked.value ? [{ key, title, points: worked.value }] : []
}

/** What a rush pulls at the boat, where it is least, and as the last of the line goes. */
function rushWords(points: readonly RushPoint[], held: Conditions['rodHeld'], show: Show): string {
  const force = (point: RushPoint) => show.computed('strength', rushPeakN(point, held))
  const [near, least, far] = [points[0]!, leastRush(points, held)!, points.at(-1)!]
  const middle = givesEnough(least)
    ? 'it grows from there to'
    : `least, ${force(least)}, with about ${show.entered('length', Math.round(least.lineOutM))} out;`
  return `${force(near)} with 1 m out; ${middle} ${force(far)} at the end of the line.`
}
