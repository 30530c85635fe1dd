import { hookDimensions } from '../../core/catalogue/hooks.ts'
import type { HookPiece } from '../../core/documents/trace.ts'
import { useCatalogue } from '../catalogue.ts'

/** CSS px per millimetre: a CSS inch is 96 px. True on paper and near enough on most screens; the bar says what is meant. */
const PX_PER_MM = 96 / 25.4

/** A hook at its measured, else nominal size with a centimetre beside it, so that 2 is not taken for 2/0. */
export function HookToScale({ pattern, size, gapeM, wireM }: Pick<HookPiece, 'pattern' | 'size' | 'gapeM' | 'wireM'>) {
  const nominal = hookDimensions(useCatalogue(), pattern, size)
  if (!nominal) return null
  const dimensions = { gapeM: gapeM ?? nominal.gapeM, wireM: wireM ?? nominal.wireM }
  const gape = dimensions.gapeM * 1000 * PX_PER_MM
  const wire = Math.max(1, dimensions.wireM * 1000 * PX_PER_MM)
  const shank = gape * 1.7
  const width = gape + 2 * wire + 56
  const height = shank + gape / 2 + 3 * wire
  const [x, top] = [wire * 2, wire * 2]
  const point = pattern === 'circle' ? `l${-gape * 0.35} ${-gape * 0.2}` : `l${-gape * 0.12} ${gape * 0.18}`
  return (
    <svg
      width={width}
      height={height}
      className="text-ink"
      role="img"
      aria-label={`Hook ${size} at its ${gapeM === undefined ? 'nominal' : 'measured'} size, gape ${(dimensions.gapeM * 1000).toFixed(0)} mm`}
    >
      <path
        d={`M${x} ${top}v${shank - gape / 2}a${gape / 2} ${gape / 2} 0 0 0 ${gape} 0v${-gape * 0.5}${point}`}
        fill="none"
        stroke="currentColor"
        strokeWidth={wire}
        strokeLinecap="round"
        strokeLinejoin="round"
      />
      <circle cx={x} cy={top} r={wire * 1.2} fill="none" stroke="currentColor" strokeWidth={wire * 0.7} />
      <g transform={`translate(${gape + 3 * wire + 6} ${height - 8})`}>
        <path d={`M0 -4v4h${10 * PX_PER_MM}v-4`} fill="none" stroke="currentColor" strokeWidth={1.2} />
        <text x={5 * PX_PER_MM} y={-6} fontSize={11} textAnchor="middle">
          1 cm
        </text>
      </g>
    </svg>
  )
}
