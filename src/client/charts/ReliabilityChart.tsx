import { scaleLinear } from 'd3-scale'
import type { Bin } from '../../core/lessons/lessons.ts'
import { Axis } from './Axis.tsx'

const [SIZE, LEFT, BOTTOM, TOP, RIGHT] = [300, 44, 38, 22, 12]
const TICKS = [0, 0.25, 0.5, 0.75, 1]

/** How often things happened against how likely they were said to be; on the diagonal both are the same. */
export function ReliabilityChart({ bins, summary }: { bins: readonly Bin[]; summary: string }) {
  const xOf = scaleLinear([0, 1], [LEFT, SIZE - RIGHT])
  const yOf = scaleLinear([0, 1], [SIZE - BOTTOM, TOP])
  const words = (share: number) => Math.round(share * 100)
  return (
    <svg width={SIZE} height={SIZE} role="img" aria-label={summary} fontSize={12} className="block max-w-full text-ink">
      <rect x={LEFT} y={TOP} width={SIZE - RIGHT - LEFT} height={SIZE - BOTTOM - TOP} fill="var(--well)" />
      <Axis side="left" at={LEFT} rulesTo={SIZE - RIGHT} ticks={TICKS.map((tick) => ({ at: yOf(tick), text: words(tick) }))} />
      <Axis side="bottom" at={SIZE - BOTTOM} ticks={TICKS.map((tick) => ({ at: xOf(tick), text: words(tick) }))} />
      <g style={{ fill: 'var(--quiet)' }}>
        <text x={2} y={12}>
          happened, %
        </text>
        <text x={SIZE - RIGHT} y={SIZE - 6} textAnchor="end">
          predicted, %
        </text>
      </g>
      <line x1={xOf(0)} y1={yOf(0)} x2={xOf(1)} y2={yOf(1)} stroke="var(--quiet)" strokeDasharray="4 4" />
      {bins.map(({ from, said, of, happened, share }) => (
        <g key={from}>
          <line x1={xOf(said)} x2={xOf(said)} y1={yOf(share.low)} y2={yOf(share.high)} stroke="var(--tide)" strokeWidth={3} />
          <circle cx={xOf(said)} cy={yOf(happened / of)} r={4.5} fill="var(--sheet)" stroke="currentColor" strokeWidth={2} />
        </g>
      ))}
    </svg>
  )
}
