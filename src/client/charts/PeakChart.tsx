import { layOutPeakChart } from '../../core/layout/peakChart.ts'
import type { PeakPoint } from '../../core/moments/peakByLineOut.ts'

type Props = {
  points: readonly PeakPoint[]
  lineOutM: number
  unsafeFromM: number | undefined
  width: number
  force: { unit: string; factor: number }
  length: { unit: string; factor: number }
  summary: string
}

const HEIGHT = 168
const PAD = { padLeft: 34, padRight: 12, padTop: 16, padBottom: 30 }

/** The peak in a run against line out, under the most that the chain is allowed; past the crossing is marked. */
export function PeakChart({ points, lineOutM, unsafeFromM, width, force, length, summary }: Props) {
  const chart = layOutPeakChart(points, { width, height: HEIGHT, ...PAD }, force.factor, length.factor)
  const [bottom, right] = [HEIGHT - PAD.padBottom, width - PAD.padRight]
  const x = chart.xOf(Math.min(lineOutM, points.at(-1)!.lineOutM))
  return (
    <svg width={width} height={HEIGHT} className="block text-ink" role="img" aria-label={summary} fontSize={12}>
      {chart.ticksN.map((tickN) => (
        <g key={tickN}>
          <line x1={PAD.padLeft} x2={right} y1={chart.yOf(tickN)} y2={chart.yOf(tickN)} stroke="var(--rule)" strokeWidth={0.7} />
          <text x={PAD.padLeft - 5} y={chart.yOf(tickN) + 4} textAnchor="end" style={{ fill: 'var(--quiet)' }}>
            {Math.round(tickN / force.factor)}
          </text>
        </g>
      ))}
      {chart.ticksM.map((tickM) => (
        <text key={tickM} x={chart.xOf(tickM)} y={bottom + 14} textAnchor="middle" style={{ fill: 'var(--quiet)' }}>
          {Math.round(tickM / length.factor)}
        </text>
      ))}
      <text x={right} y={HEIGHT - 2} textAnchor="end" style={{ fill: 'var(--quiet)' }}>
        {`line out, ${length.unit}`}
      </text>
      <text x={2} y={11} style={{ fill: 'var(--quiet)' }}>
        {force.unit}
      </text>
      {unsafeFromM !== undefined && (
        <rect
          x={chart.xOf(unsafeFromM)}
          y={PAD.padTop}
          width={right - chart.xOf(unsafeFromM)}
          height={bottom - PAD.padTop}
          fill="var(--fails)"
          opacity={0.12}
        />
      )}
      <path d={chart.allowed} fill="none" stroke="var(--fails)" strokeWidth={1.6} strokeDasharray="6 3" />
      <path d={chart.peak} fill="none" stroke="var(--watch)" strokeWidth={2} />
      <line x1={x} x2={x} y1={PAD.padTop} y2={bottom} stroke="var(--tide)" strokeWidth={1.2} />
    </svg>
  )
}
