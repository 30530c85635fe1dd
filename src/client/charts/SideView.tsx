import { layOutSideView } from '../../core/layout/sideView.ts'
import type { LinePoint } from '../../core/water/lineInWater.ts'

const HEIGHT = 220
const PAD = 20

type Props = { points: readonly LinePoint[]; depthM: number; width: number; summary: string }

/** The line from the boat down to the sinker, true to scale both ways, the stream from left to right. */
export function SideView({ points, depthM, width, summary }: Props) {
  const { path, surfaceY, bedY, boatX, sinkerX } = layOutSideView(points, depthM, { width, height: HEIGHT, pad: PAD })
  return (
    <svg width={width} height={HEIGHT} className="block text-ink" role="img" aria-label={summary} fontSize={12}>
      <rect x={0} y={surfaceY} width={width} height={bedY - surfaceY} fill="var(--well)" />
      <line x1={0} x2={width} y1={surfaceY} y2={surfaceY} stroke="var(--tide)" strokeWidth={1.5} />
      <path d={`M0 ${bedY}H${width}`} stroke="currentColor" strokeWidth={2} strokeDasharray="1 3" />
      <path d={`M${boatX - 16} ${surfaceY - 8}h32l-5 9h-22z`} fill="var(--sheet)" stroke="currentColor" strokeWidth={1.5} />
      <path d={path} fill="none" stroke="currentColor" strokeWidth={1.8} />
      <circle cx={sinkerX} cy={bedY - 3} r={4} fill="currentColor" />
      <g style={{ fill: 'var(--quiet)' }}>
        <path d={`M8 ${surfaceY + 16}h26m-6-4l6 4-6 4`} fill="none" stroke="var(--tide)" strokeWidth={1.5} />
        <text x={40} y={surfaceY + 20}>
          stream
        </text>
      </g>
    </svg>
  )
}
