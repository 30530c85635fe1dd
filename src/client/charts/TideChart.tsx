import { memo } from 'react'
import { layOutTideChart, layOutTime } from '../../core/layout/tideChart.ts'
import type { Span } from '../../core/physics/sky/sky.ts'
import type { HeightPoint, Turn } from '../../core/physics/tide/height.ts'
import type { Wind } from '../../core/plan/atMark.ts'
import type { StreamPoint } from '../../core/plan/streamThrough.ts'
import { clockIn } from '../../core/time/localDay.ts'
import { QUANTITIES } from '../../core/units/quantities.ts'
import { useShow } from '../settings/preferences.tsx'
import { Axis } from './Axis.tsx'

const HEIGHT = 250
/** Room around the plot; under it, the hours and two strips of arrows. */
export const TIDE_PAD = { left: 42, right: 46, top: 22, bottom: 66 }

type PlotProps = {
  fromMs: number
  toMs: number
  heights: readonly HeightPoint[]
  turns: readonly Turn[]
  stream: readonly StreamPoint[]
  slacks: readonly StreamPoint[]
  winds: readonly (Wind & { overTide: boolean })[]
  night: readonly Span[]
  dark: readonly Span[]
  /** Times at which the sinker changes. */
  changes: readonly number[]
  width: number
  lengthUnit: keyof typeof QUANTITIES.length.units
  speedUnit: keyof typeof QUANTITIES.speed.units
  clock: (timeMs: number) => string
  timeZone: string
}
type Props = PlotProps & { atMs: number; onScrub: (timeMs: number) => void; summary: string }

const BOTTOM = HEIGHT - TIDE_PAD.bottom

/** Height of the tide and rate of the stream through a day, with a time that is slid along it. */
export function TideChart({ atMs, onScrub, summary, ...plot }: Props) {
  const { width, fromMs, toMs } = plot
  const { xOf, timeAt } = layOutTime({ width, pad: TIDE_PAD, fromMs, toMs })
  const scrubTo = (event: React.PointerEvent<SVGSVGElement>) =>
    onScrub(timeAt(event.clientX - event.currentTarget.getBoundingClientRect().left))
  return (
    <svg
      width={width}
      height={HEIGHT}
      className="block touch-pan-y text-ink select-none"
      role="img"
      aria-label={summary}
      fontSize={12}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId)
        scrubTo(event)
      }}
      onPointerMove={(event) => event.buttons > 0 && scrubTo(event)}
    >
      <Plot {...plot} />
      <line x1={xOf(atMs)} x2={xOf(atMs)} y1={TIDE_PAD.top - 6} y2={BOTTOM + 4} stroke="currentColor" strokeWidth={1.8} />
    </svg>
  )
}

/** Night and dark hours shaded, slack marked, wind and set as arrows: all that stays while the time is slid. */
const Plot = memo(function Plot(props: PlotProps) {
  const { fromMs, toMs, heights, turns, stream, slacks, winds, night, dark, changes, width, clock, timeZone } = props
  const show = useShow()
  const options = { width, height: HEIGHT, pad: TIDE_PAD, fromMs, toMs }
  const length = { unit: props.lengthUnit, factor: QUANTITIES.length.units[props.lengthUnit] }
  const speed = { unit: props.speedUnit, factor: QUANTITIES.speed.units[props.speedUnit] }
  const {
    tide,
    stream: line,
    xOf,
    heightY,
    rateY,
    heightTicksM,
    rateTicksMperS,
  } = layOutTideChart(heights, stream, options, length.factor, speed.factor)
  const isTideKnown = heights.length > 0
  const isSetKnown = stream.some(({ directionDeg }) => directionDeg !== null)
  const tideTicksM = isTideKnown ? heightTicksM : []
  const [top, bottom, right] = [TIDE_PAD.top, BOTTOM, width - TIDE_PAD.right]
  const everyHours = width < 600 ? 6 : width < 900 ? 3 : 2
  const hours = stream.filter(({ timeMs }) => timeMs < toMs && onTheHour(clockIn(timeZone, timeMs), everyHours))
  const shade = (spans: readonly Span[]) =>
    spans.map(({ fromMs: from, toMs: to }) => (
      <rect key={from} x={xOf(from)} y={top} width={xOf(to) - xOf(from)} height={bottom - top} fill="var(--night)" />
    ))
  return (
    <>
      <rect x={TIDE_PAD.left} y={top} width={right - TIDE_PAD.left} height={bottom - top} fill="var(--well)" />
      {shade(night)}
      {shade(dark)}
      <path d={tide} fill="var(--spread)" opacity={0.75} />
      <g style={{ fill: 'var(--quiet)' }}>
        <Axis
          side="left"
          at={TIDE_PAD.left}
          rulesTo={right}
          ticks={tideTicksM.map((m) => ({ at: heightY(m), text: Number((m / length.factor).toFixed(1)) }))}
        />
        <Axis
          side="right"
          at={right}
          ticks={rateTicksMperS.map((rate) => ({ at: rateY(rate), text: Number((rate / speed.factor).toFixed(1)) }))}
        />
        {isTideKnown && <text x={2} y={12}>{`tide, ${length.unit}`}</text>}
        <text x={width - 2} y={12} textAnchor="end">{`current, ${speed.unit}`}</text>
        <Axis
          side="bottom"
          at={bottom}
          marks
          ticks={hours.map(({ timeMs }) => ({ at: xOf(timeMs), text: clock(timeMs).replace(':00', '') }))}
        />
        {isSetKnown && (
          <text x={2} y={bottom + 36}>
            flows
          </text>
        )}
        {winds.length > 0 && (
          <text x={2} y={bottom + 56}>
            wind
          </text>
        )}
      </g>
      {isSetKnown &&
        hours.map(({ timeMs, directionDeg, rateMperS }) => (
          <Arrow key={timeMs} x={xOf(timeMs)} y={bottom + 32} towardsDeg={directionDeg} strong={rateMperS > 0.25} />
        ))}
      {winds
        .filter(({ timeMs }) => hours.some((hour) => hour.timeMs === timeMs))
        .map(({ timeMs, fromDeg, speedMperS, overTide }) => (
          <g key={timeMs}>
            <Arrow x={xOf(timeMs)} y={bottom + 52} towardsDeg={fromDeg + 180} strong={overTide} />
            <text x={xOf(timeMs) + 9} y={bottom + 56} fontWeight={overTide ? 700 : 400}>
              {Math.round(speedMperS / speed.factor)}
            </text>
          </g>
        ))}
      <path d={line} fill="none" stroke="var(--tide)" strokeWidth={2.4} />
      {slacks.map(({ timeMs, rateMperS }) => (
        <circle
          key={timeMs}
          cx={xOf(timeMs)}
          cy={rateY(rateMperS)}
          r={4.5}
          fill="var(--sheet)"
          stroke="var(--tide)"
          strokeWidth={2}
        />
      ))}
      {turns
        .filter(({ timeMs }) => timeMs >= fromMs && timeMs <= toMs)
        .map(({ timeMs, heightM, kind }) => (
          <text
            key={timeMs}
            x={Math.min(right - 34, Math.max(TIDE_PAD.left + 34, xOf(timeMs)))}
            y={kind === 'high' ? Math.max(top + 11, heightY(heightM) - 5) : bottom - 14}
            textAnchor="middle"
            fontWeight={600}
            stroke="var(--sheet)"
            strokeWidth={4}
            paintOrder="stroke"
          >
            {clock(timeMs)} {show.number(heightM / length.factor, 1)}
          </text>
        ))}
      {changes.map((timeMs) => (
        <path key={timeMs} d={`M${xOf(timeMs) - 5} ${top - 9}h10l-5 8z`} fill="currentColor" />
      ))}
    </>
  )
})

const onTheHour = (clock: string, every: number) => clock.endsWith(':00') && Number(clock.slice(0, 2)) % every === 0

/** Where something goes to, north up; a dot where it goes nowhere. */
function Arrow({ x, y, towardsDeg, strong }: { x: number; y: number; towardsDeg: number | null; strong: boolean }) {
  if (towardsDeg === null) return <circle cx={x} cy={y} r={1.5} fill="var(--quiet)" />
  return (
    <path
      d="M0 6V-5M-3.5 -1.5L0 -5.5 3.5 -1.5"
      transform={`translate(${x.toFixed(1)} ${y}) rotate(${towardsDeg.toFixed(0)})`}
      fill="none"
      stroke={strong ? 'currentColor' : 'var(--quiet)'}
      strokeWidth={strong ? 1.8 : 1.2}
    />
  )
}
