import type { HookCard } from '../../core/layout/hookCard.ts'
import { useCatalogue } from '../catalogue/useCatalogue.ts'
import { trueSize } from '../settings/trueSize.ts'
import { HookShape } from './HookShape.tsx'
import { ScaleBar } from './ScaleBar.tsx'

/** A card of hooks in true size, on the calibrated screen and on paper. */
export function HookCardDrawing({ card, label }: { card: HookCard; label: string }) {
  const { hooks: known } = useCatalogue()
  const { widthMm, heightMm, hooks } = card
  const barMm = 12
  return (
    <svg
      viewBox={`0 0 ${widthMm} ${heightMm + barMm}`}
      {...trueSize(widthMm, heightMm + barMm)}
      className="block text-ink"
      role="img"
      aria-label={label}
    >
      {hooks.map(({ pattern, size, x, y, outline, labelY }) => (
        <g key={`${size} ${pattern}`} data-size={size} data-pattern={pattern}>
          <g transform={`translate(${x} ${y})`}>
            <HookShape outline={outline} />
          </g>
          <text x={x - 2 * outline.eyeMm} y={labelY} fontSize={3.2} fill="currentColor">
            <tspan fontWeight="bold">{size}</tspan> {known.patterns[pattern].name}
          </text>
        </g>
      ))}
      <ScaleBar x={5} y={heightMm + barMm - 2} mm={50} pxPerMm={4} />
    </svg>
  )
}
