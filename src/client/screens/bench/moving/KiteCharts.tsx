import { useMemo } from 'react'
import type { KiteBait } from '../../../../core/documents/moving.ts'
import {
  chartEndMperS,
  GUST,
  type KiteRig,
  type KiteWay,
  leadBySlack,
  leadByWind,
  SHOWN_FROM_SLACK,
} from '../../../../core/setup/moving/kite.ts'
import { CURVE_LOOKS, CurveChart } from '../../../charts/CurveChart.tsx'
import { LineSample } from '../../../charts/LineSample.tsx'
import { useAxis } from '../../../charts/useAxis.ts'
import { useShow } from '../../../settings/preferences.tsx'
import { useWidth } from '../../../ui/useWidth.ts'

/** What leads are asked of; `baits` and `rig` stay the same while the wind is dragged. */
export type KiteSetup = {
  moving: KiteWay
  /** Those that have an answer: asking for each place of one that has none takes long. */
  baits: KiteBait[]
  rig: KiteRig
}

/** Lead of the farthest bait against slack, in the wind and in gusts. */
export function SlackChart({ rig, moving, baits }: KiteSetup) {
  const { ref, width } = useWidth<HTMLDivElement>()
  const axis = useAxis()
  const show = useShow()
  const bait = baits.at(-1)
  const curves = useMemo(() => bait && leadBySlack(rig, moving, bait), [rig, moving, bait])
  if (!bait || !curves) return <p className="text-quiet">No bait can be calculated.</p>
  const { steady, gust, wetFrom, end } = curves
  const curve = (points: typeof steady) => points.map(({ slack: x, leadKg: y }) => ({ x, y }))
  const most = Math.max(
    0.01,
    ...[...steady, ...gust].filter(({ slack }) => slack >= SHOWN_FROM_SLACK).map(({ leadKg }) => leadKg),
  )
  return (
    <>
      <div ref={ref} style={{ minHeight: 170 }}>
        {width > 0 && (
          <CurveChart
            curves={[
              { id: 'gusts', look: 'first', points: curve(gust) },
              { id: 'wind', look: 'second', points: curve(steady) },
            ]}
            span={{ x: [1, end], y: [0, 1.1 * most] }}
            x={{ name: 'slack', unit: 'over the straight distance', factor: 1 }}
            y={axis('lead', 'mass')}
            marks={[
              { id: 'now', x: moving.slack },
              ...(wetFrom === undefined ? [] : [{ id: 'wet', x: wetFrom, y: 0, text: 'in the sea' }]),
            ]}
            width={width}
            height={170}
            summary={`Sinker for the ${bait.name} bait by slack: at ${moving.slack} ${show.computed('mass', gust.find(({ slack }) => slack >= moving.slack)?.leadKg ?? 0)} in gusts.`}
          />
        )}
      </div>
      <p className="text-sm">
        The {bait.name} bait <LineSample />
        in gusts, <LineSample second />
        in the wind. A tight line lifts more; a slack line drags in the sea.
      </p>
    </>
  )
}

/** Lead of every bait by the wind as it is felt; upright: the given wind, and its gusts. */
export function WindChart({ rig, moving, baits }: KiteSetup) {
  const { ref, width } = useWidth<HTMLDivElement>()
  const axis = useAxis()
  const show = useShow()
  const { windMperS, slack, ringFriction } = moving
  const endMperS = chartEndMperS(windMperS)
  const curves = useMemo(
    () => baits.map((bait) => ({ name: bait.name, points: leadByWind(rig, { slack, ringFriction }, bait, endMperS) })),
    [rig, slack, ringFriction, baits, endMperS],
  )
  const most = Math.max(0.01, ...curves.flatMap(({ points }) => points.map(({ leadKg }) => leadKg)))
  return (
    <>
      <div ref={ref} style={{ minHeight: 170 }}>
        {width > 0 && (
          <CurveChart
            curves={curves.map(({ name, points }, i) => ({
              id: name,
              look: CURVE_LOOKS[i] ?? 'thin',
              points: points.map(({ windMperS: x, leadKg: y }) => ({ x, y })),
            }))}
            span={{ x: [0, endMperS], y: [0, 1.1 * most] }}
            x={axis('wind', 'speed')}
            y={axis('lead', 'mass')}
            marks={[
              { id: 'wind', x: windMperS },
              { id: 'gusts', x: GUST * windMperS },
            ]}
            width={width}
            height={170}
            summary={`Sinker for each bait by wind, now ${show.computed('speed', windMperS)}.`}
          />
        )}
      </div>
      <p className="text-sm">Vertical lines: the wind now and its gusts. Line styles as in the table.</p>
    </>
  )
}
