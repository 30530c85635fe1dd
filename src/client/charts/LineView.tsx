import { layOutLineView } from '../../core/layout/lineView.ts'
import type { LineShape } from '../../core/setup/settling/lineShape.ts'

const PAD = 20
/** How the lines of one view are told apart, in order. */
export const LINE_DASHES = [undefined, '7 4'] as const

type Props = {
  shapes: readonly LineShape[]
  depthM: number
  width: number
  height: number
  summary: string
  /** A length in the reader's own unit, for the scale bar. */
  lengthText: (metres: number) => string
}

/** Lines from the boat or the rod to the sinker, true to scale both ways, with a bar that says so. */
export function LineView({ shapes, depthM, width, height, summary, lengthText }: Props) {
  const layout = layOutLineView(shapes, depthM, { width, height, pad: PAD })
  const { paths, rod, sinkers, surfaceY, bedY, metresPerUnit, barM } = layout
  const above = shapes[0]?.view === 'above'
  const barX = width - 8 - barM / metresPerUnit
  const barY = above ? height - 8 : bedY + 14
  return (
    <svg width={width} height={height} className="block text-ink" role="img" aria-label={summary} fontSize={12}>
      {above ? (
        <>
          <rect x={0} y={0} width={width} height={height} fill="var(--well)" />
          <path d={`M${rod.x - 7} ${rod.y}l7 -7 7 7-7 7z`} fill="var(--sheet)" stroke="currentColor" strokeWidth={1.5} />
        </>
      ) : (
        <>
          <rect x={0} y={surfaceY} width={width} height={bedY - surfaceY} fill="var(--well)" />
          <line x1={0} x2={width} y1={surfaceY} y2={surfaceY} stroke="var(--tide)" strokeWidth={1.5} />
          <path d={`M0 ${bedY}H${width}`} stroke="currentColor" strokeWidth={2} strokeDasharray="1 3" />
          {rod.y < surfaceY ? (
            // From the shore: where the line is held, over the water.
            <path d={`M${rod.x} ${rod.y}V${bedY}`} stroke="var(--quiet)" strokeWidth={1} strokeDasharray="2 3" />
          ) : (
            <path d={`M${rod.x - 16} ${surfaceY - 8}h32l-5 9h-22z`} fill="var(--sheet)" stroke="currentColor" strokeWidth={1.5} />
          )}
        </>
      )}
      {paths.map((path, i) => (
        <path
          key={LINE_DASHES[i] ?? 'plain'}
          d={path}
          fill="none"
          stroke="currentColor"
          strokeWidth={1.8}
          strokeDasharray={LINE_DASHES[i]}
        />
      ))}
      {sinkers.map(({ x, y }, i) => (
        <circle
          key={LINE_DASHES[i] ?? 'plain'}
          cx={x}
          cy={above ? y : y - 3}
          r={4}
          fill={i === 0 ? 'currentColor' : 'var(--sheet)'}
          stroke="currentColor"
          strokeWidth={1.5}
        />
      ))}
      <g style={{ fill: 'var(--quiet)' }}>
        {above ? (
          <path d={`M16 ${height - 44}v26m-4-6l4 6 4-6`} fill="none" stroke="var(--tide)" strokeWidth={1.5} />
        ) : (
          rod.y === surfaceY && (
            <path d={`M8 ${surfaceY + 16}h26m-6-4l6 4-6 4`} fill="none" stroke="var(--tide)" strokeWidth={1.5} />
          )
        )}
        <text x={above ? 28 : rod.y < surfaceY ? 8 : 40} y={above ? height - 22 : rod.y < surfaceY ? 14 : surfaceY + 20}>
          {above ? 'current, seen from above' : rod.y < surfaceY ? 'seen along the current' : 'current'}
        </text>
        <path d={`M${barX} ${barY - 5}v5H${width - 8}v-5`} fill="none" stroke="var(--quiet)" strokeWidth={1.2} />
        <text x={barX - 6} y={barY} textAnchor="end">
          {lengthText(barM)}
        </text>
      </g>
    </svg>
  )
}
