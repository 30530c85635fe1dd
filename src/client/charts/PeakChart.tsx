import { layOutPeakChart } from '../../core/layout/peakChart.ts'
import type { PeakPoint } from '../../core/moments/peakByLineOut.ts'
import type { RushPoint } from '../../core/moments/rush.ts'
import { Axis } from './Axis.tsx'

type Props = {
  points: readonly PeakPoint[]
  rush: readonly RushPoint[]
  lineOutM: number
  unsafeFromM: number | undefined
  width: number
  force: { unit: string; factor: number }
  length: { unit: string; factor: number }
  summary: string
}

const HEIGHT = 168
const PAD = { padLeft: 34, padRight: 12, padTop: 16, padBottom: 30 }

/** The peak in a run and that of a sudden rush against line out, under the most that the chain is allowed; past the crossing is marked. */
export function PeakChart({ points, rush, lineOutM, unsafeFromM, width, force, length, summary }: Props) {
  const chart = layOutPeakChart(points, rush, { width, height: HEIGHT, ...PAD }, force.factor, length.factor)
  const [bottom, right] = [HEIGHT - PAD.padBottom, width - PAD.padRight]
  const x = chart.xOf(Math.min(lineOutM, points.at(-1)!.lineOutM))
  return (
    <svg width={width} height={HEIGHT} className="block text-ink" role="img" aria-label={summary} fontSize={12}>
      <Axis
        side="left"
        at={PAD.padLeft}
        rulesTo={right}
        ticks={chart.ticksN.map((tickN) => ({ at: chart.yOf(tickN), text: Math.round(tickN / force.factor) }))}
      />
      <Axis
        side="bottom"
        at={bottom}
        ticks={chart.ticksM.map((tickM) => ({ at: chart.xOf(tickM), text: Math.round(tickM / length.factor) }))}
      />
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
      <path d={chart.pointed} fill="none" stroke="var(--quiet)" strokeWidth={1.4} strokeDasharray="1 3" />
      <path d={chart.bent} fill="none" stroke="currentColor" strokeWidth={1.4} />
      <path d={chart.peak} fill="none" stroke="var(--watch)" strokeWidth={2} />
      <line x1={x} x2={x} y1={PAD.padTop} y2={bottom} stroke="var(--tide)" strokeWidth={1.2} />
    </svg>
  )
}
