import { layOutTideChart } from '../../core/layout/tideChart.ts'
import type { Span } from '../../core/physics/sky/sky.ts'
import type { HeightPoint } from '../../core/physics/tide/height.ts'
import type { StreamPoint } from '../../core/plan/streamThrough.ts'
import { clockIn } from '../../core/time/localDay.ts'
import { Axis } from './Axis.tsx'

const HEIGHT = 190
const PAD = { left: 34, right: 10, top: 22, bottom: 24 }
/** Marks of events at one time stand above each other. */
const STACK_PX = 11

export type ChartEvent = { id: string; timeMs: number; sign: 'fish' | 'trouble' | 'other'; title: string }

type Props = {
  fromMs: number
  toMs: number
  heights: readonly HeightPoint[]
  stream: readonly StreamPoint[]
  night: readonly Span[]
  events: readonly ChartEvent[]
  width: number
  length: { factor: number; unit: string }
  clock: (timeMs: number) => string
  timeZone: string
  summary: string
}

/** The tide of a trip with what happened on it: fish as discs, troubles as crosses, all else as ticks. */
export function TripChart({ fromMs, toMs, heights, stream, night, events, width, length, clock, timeZone, summary }: Props) {
  const options = { width, height: HEIGHT, pad: PAD, fromMs, toMs }
  const within = heights.filter(({ timeMs }) => timeMs >= fromMs && timeMs <= toMs)
  const { tide, xOf, heightY, heightTicksM } = layOutTideChart(within, stream, options, length.factor, 1)
  const [top, bottom, right] = [PAD.top, HEIGHT - PAD.bottom, width - PAD.right]
  const everyHours = (toMs - fromMs) / 3_600_000 > width / 50 ? 2 : 1
  const hours = stream.filter(({ timeMs }) => {
    const wall = clockIn(timeZone, timeMs)
    return timeMs >= fromMs && timeMs <= toMs && wall.endsWith(':00') && Number(wall.slice(0, 2)) % everyHours === 0
  })
  const shown = events.filter(({ timeMs }) => timeMs >= fromMs && timeMs <= toMs)
  return (
    <svg width={width} height={HEIGHT} role="img" aria-label={summary} fontSize={12} className="block text-ink">
      <rect x={PAD.left} y={top} width={right - PAD.left} height={bottom - top} fill="var(--well)" />
      {night.map((span) => {
        const [from, to] = [Math.max(fromMs, span.fromMs), Math.min(toMs, span.toMs)]
        return (
          to > from && (
            <rect key={from} x={xOf(from)} y={top} width={xOf(to) - xOf(from)} height={bottom - top} fill="var(--night)" />
          )
        )
      })}
      {within.length > 0 && <path d={tide} fill="var(--spread)" opacity={0.75} />}
      <g style={{ fill: 'var(--quiet)' }}>
        <Axis
          side="left"
          at={PAD.left}
          rulesTo={right}
          ticks={
            within.length > 0 ? heightTicksM.map((m) => ({ at: heightY(m), text: Number((m / length.factor).toFixed(1)) })) : []
          }
        />
        {within.length > 0 && <text x={2} y={12}>{`tide, ${length.unit}`}</text>}
        <Axis
          side="bottom"
          at={bottom}
          marks
          ticks={hours.map(({ timeMs }) => ({ at: xOf(timeMs), text: clock(timeMs).replace(':00', '') }))}
        />
      </g>
      {shown.map(({ id, timeMs, sign, title }, i) => {
        const beside = shown.slice(0, i).filter((other) => Math.abs(xOf(other.timeMs) - xOf(timeMs)) < STACK_PX).length
        const [x, y] = [xOf(timeMs), bottom - 8 - (beside % 10) * STACK_PX]
        return (
          <g key={id}>
            <title>{title}</title>
            {sign === 'fish' && <circle cx={x} cy={y} r={5} fill="var(--tide)" stroke="var(--sheet)" />}
            {sign === 'trouble' && (
              <path d={`M${x - 4} ${y - 4}l8 8m0 -8l-8 8`} stroke="var(--fails)" strokeWidth={2.4} fill="none" />
            )}
            {sign === 'other' && <path d={`M${x} ${y - 4}v8`} stroke="currentColor" strokeWidth={1.6} />}
          </g>
        )
      })}
    </svg>
  )
}
