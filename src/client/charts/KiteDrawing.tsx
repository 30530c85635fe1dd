import { type DrawnKiteLine, layOutKite } from '../../core/layout/kiteDrawing.ts'
import { HALO } from './halo.ts'

const PAD = 16
/** How the lines to the rings are told apart, in order. */
export const KITE_DASHES = [undefined, '7 4', '2 3'] as const

type Props = {
  lines: readonly (DrawnKiteLine & { name: string })[]
  tipM: number
  width: number
  height: number
  summary: string
  /** A length in the reader’s own unit, for the scale bar. */
  lengthText: (metres: number) => string
}

/** Rod, lines, rings, drops, kite and sea from the side, down-wind to the right, true to scale both ways. */
export function KiteDrawing({ lines, tipM, width, height, summary, lengthText }: Props) {
  const { lines: paths, rings, kiteLine, kite, tip, seaY, pxPerM, barM } = layOutKite(lines, tipM, { width, height, pad: PAD })
  const barX = width - 8 - barM * pxPerM
  return (
    <svg width={width} height={height} className="block text-ink" role="img" aria-label={summary} fontSize={12}>
      <rect x={0} y={seaY} width={width} height={Math.max(0, height - seaY)} fill="var(--spread)" opacity={0.6} />
      <line x1={0} x2={width} y1={seaY} y2={seaY} stroke="var(--tide)" strokeWidth={1.5} />
      <path d={kiteLine} fill="none" stroke="var(--quiet)" strokeWidth={1.2} />
      <path d={`M${kite.x} ${kite.y - 9}l8 9-8 11-8-11z`} fill="var(--sheet)" stroke="var(--quiet)" strokeWidth={1.5} />
      <path d={`M${tip.x} ${seaY}L${tip.x} ${tip.y}`} stroke="currentColor" strokeWidth={2.5} />
      {rings.map(({ x, y }, i) => (
        <g key={lines[i]!.name}>
          <path d={paths[i]} fill="none" stroke="currentColor" strokeWidth={1.9} strokeDasharray={KITE_DASHES[i]} />
          <path d={`M${x} ${y}V${seaY}`} stroke="currentColor" strokeWidth={1.4} strokeDasharray={KITE_DASHES[i]} />
          <circle cx={x} cy={y} r={4} fill="var(--sheet)" stroke="currentColor" strokeWidth={1.8} />
          <circle cx={x} cy={seaY} r={4} fill="currentColor" />
          <text x={x + 8} y={seaY - 6} style={HALO}>
            {lines[i]!.name}
          </text>
        </g>
      ))}
      <g style={{ fill: 'var(--quiet)' }}>
        <path d="M12 14h30m-6-4l6 4-6 4" fill="none" stroke="var(--tide)" strokeWidth={1.5} />
        <text x={48} y={18}>
          wind{' '}
        </text>
        <path d={`M${barX} ${height - 13}v5H${width - 8}v-5`} fill="none" stroke="var(--quiet)" strokeWidth={1.2} />
        <text x={barX - 6} y={height - 8} textAnchor="end">
          {lengthText(barM)}
        </text>
      </g>
    </svg>
  )
}
