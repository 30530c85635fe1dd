import { scaleLinear } from 'd3-scale'
import { line as lineOf } from 'd3-shape'
import type { PullAnalysis, Reading } from '../../../core/learning/pullCurve.ts'
import { useShow } from '../../settings/preferences.tsx'
import { useWidth } from '../../ui/useWidth.ts'

const HEIGHT = 260
const SIDE = 12
const FOOT = 22
/** So long a pull fills the width, ms. */
const DEFAULT_MS = 6_000

type Props = { readings: readonly Reading[]; seen: PullAnalysis; lineN: number }

/** A pull as it runs: load against time, its peak held, slips marked, and what the line itself holds. */
export function PullCurve({ readings, seen, lineN }: Props) {
  const show = useShow()
  const { ref, width } = useWidth<HTMLDivElement>()
  const wide = Math.max(width, 240)
  const x = scaleLinear([0, Math.max(DEFAULT_MS, readings.at(-1)?.atMs ?? 0)], [SIDE, wide - SIDE])
  const y = scaleLinear([0, 1.15 * Math.max(lineN, seen.peakN)], [HEIGHT - FOOT, 8])
  const path = lineOf<Reading>(
    ({ atMs }) => x(atMs),
    ({ loadN }) => y(loadN),
  )(readings)
  return (
    <div ref={ref} className="mt-2">
      <svg
        width={wide}
        height={HEIGHT}
        role="img"
        className="block text-ink"
        aria-label={`Load over time: peak ${show.computed('strength', seen.peakN)}`}
      >
        <path d={`M${SIDE} ${y(0)}H${wide - SIDE}`} stroke="var(--rule)" />
        <path d={`M${SIDE} ${y(lineN)}H${wide - SIDE}`} stroke="var(--quiet)" strokeDasharray="2 4" />
        <text x={SIDE} y={y(lineN) - 4} fontSize={12} fill="var(--quiet)">
          line holds {show.computed('strength', lineN)}
        </text>
        {seen.peakN > 0 && <path d={`M${SIDE} ${y(seen.peakN)}H${wide - SIDE}`} stroke="var(--tide)" strokeDasharray="6 4" />}
        {path && <path d={path} fill="none" stroke="currentColor" strokeWidth={2} />}
        {seen.slips.map(({ atMs, toN }) => (
          <g key={atMs}>
            <circle cx={x(atMs)} cy={y(toN)} r={5} fill="none" stroke="var(--watch)" strokeWidth={2} />
            <text x={x(atMs)} y={y(toN) + 18} fontSize={12} textAnchor="middle" fill="var(--watch)">
              slipped
            </text>
          </g>
        ))}
        <text x={wide - SIDE} y={HEIGHT - 6} fontSize={12} textAnchor="end" fill="var(--quiet)">
          {show.number((readings.at(-1)?.atMs ?? 0) / 1000, 1)} s
        </text>
      </svg>
    </div>
  )
}
