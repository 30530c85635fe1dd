import { scaleLinear } from 'd3-scale'
import type { KnotLesson } from '../../../core/learning/knotLessons.ts'
import { percent } from '../../../core/units/percent.ts'
import { useWidth } from '../../ui/useWidth.ts'

const HEIGHT = 92
const SIDE = 22
/** Heights of what was thought before, of the pulls, and of what is thought after, px. */
const ROWS = { before: 16, pulls: 38, after: 60 }
const TICKS = [0.4, 0.6, 0.8, 1]

/** Before, every pull as a point, and after: shares of the line’s strength on one axis. */
export function PullChart({ lesson: { prior, posterior, breaks } }: { lesson: KnotLesson }) {
  const { ref, width } = useWidth<HTMLDivElement>()
  const least = Math.min(0.4, ...breaks.map(({ share }) => share))
  const most = Math.max(1, ...breaks.map(({ share }) => share))
  const x = scaleLinear([least, most], [SIDE, Math.max(width, 200) - SIDE])
  const band = ({ mean, low, high }: KnotLesson['prior'], y: number, fill: string) => (
    <g>
      <rect x={x(low)} y={y - 6} width={x(high) - x(low)} height={12} rx={3} fill={fill} />
      <path d={`M${x(mean)} ${y - 9}v18`} stroke="currentColor" strokeWidth={2} />
    </g>
  )
  return (
    <div ref={ref}>
      <svg
        width={Math.max(width, 200)}
        height={HEIGHT}
        role="img"
        className="block text-ink"
        aria-label={`Before ${percent(prior.mean)}, ${breaks.length} tests, after ${percent(posterior.mean)}`}
      >
        {TICKS.map((tick) => (
          <g key={tick}>
            <path d={`M${x(tick)} 4V74`} stroke="var(--rule)" />
            <text x={x(tick)} y={HEIGHT - 4} fontSize={12} textAnchor="middle" fill="var(--quiet)">
              {percent(tick)}
            </text>
          </g>
        ))}
        {band(prior, ROWS.before, 'var(--spread)')}
        {breaks.map(({ pull, share, farOff }) => (
          <circle
            key={pull.id}
            cx={x(share)}
            cy={ROWS.pulls}
            r={5}
            fill={farOff ? 'none' : 'var(--tide)'}
            fillOpacity={0.7}
            stroke={farOff ? 'var(--watch)' : 'var(--tide)'}
            strokeWidth={farOff ? 2 : 1}
          />
        ))}
        {breaks.length > 0 && band(posterior, ROWS.after, 'var(--tide)')}
      </svg>
    </div>
  )
}
