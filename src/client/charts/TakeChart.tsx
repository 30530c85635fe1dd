import type { BaitForm } from '../../core/catalogue/ids.ts'
import { type TakeDrawing, takeDrawing } from '../../core/layout/takeDrawing.ts'
import type { Baited } from '../../core/setup/baiting.ts'
import { useCatalogue } from '../catalogue.ts'
import { percent } from '../words/percent.ts'
import { HookShape } from './HookShape.tsx'
import { PX_PER_MM } from './HookToScale.tsx'
import { ScaleBar } from './ScaleBar.tsx'

type Props = { baited: Baited; freeGape: number; widthPx: number }

/** Bait and hooks in side view, to scale: what of the gap the bait leaves free, and the next sizes in dots. */
export function TakeChart({ baited, freeGape, widthPx }: Props) {
  const drawing = takeDrawing(useCatalogue(), baited)
  const { bait, hooks, ghosts, free, box } = drawing
  const pxPerMm = Math.min(PX_PER_MM, widthPx / box.width)
  const footMm = 18 / pxPerMm
  const barMm = box.width > 60 ? 50 : 10
  const trueSize = pxPerMm === PX_PER_MM ? ' at true size' : ''
  return (
    <svg
      width={box.width * pxPerMm}
      height={(box.height + footMm) * pxPerMm}
      viewBox={`${box.x} ${box.y} ${box.width} ${box.height + footMm}`}
      className="max-w-full text-ink"
      role="img"
      aria-label={`${hooks.length === 1 ? `Hook ${baited.hook.size}` : `${hooks.length} hooks ${baited.hook.size}`} in the bait${trueSize}: ${percent(freeGape)} of the gap is free`}
    >
      <path d={BODIES[bait.form](bait)} fill="var(--spread)" stroke="currentColor" strokeWidth={1 / pxPerMm} opacity={0.75} />
      <rect
        x={free.x - 1.5 / pxPerMm}
        y={Math.min(free.from, free.to)}
        width={3 / pxPerMm}
        height={Math.abs(free.to - free.from)}
        className={free.to > free.from ? 'fill-holds' : 'fill-fails'}
      />
      {ghosts.map(({ size, x, outline }) => (
        <g key={size} transform={`translate(${x} 0)`}>
          <HookShape outline={outline} ghost />
        </g>
      ))}
      {hooks.map(({ id, x, outline }) => (
        <g key={id} transform={`translate(${x} 0)`}>
          <HookShape outline={outline} />
        </g>
      ))}
      <ScaleBar x={box.x + 2} y={box.y + box.height + footMm - 3 / pxPerMm} mm={barMm} pxPerMm={pxPerMm} />
    </svg>
  )
}

type Placed = TakeDrawing['bait']

/** A bait by its form, as long and as deep as it is. */
const BODIES: Record<BaitForm, (bait: Placed) => string> = {
  fish: fishPath,
  soft: fishPath,
  squid: fishPath,
  piece: roundPath,
  crab: roundPath,
  shell: roundPath,
  prawn: roundPath,
  strip: tapePath,
  worm: tapePath,
}

/** With a head at the left and a tail at the right. */
function fishPath({ x, y, lengthMm: l, depthMm: d }: Placed): string {
  const middle = y + d / 2
  return `M${x} ${middle}C${x + l * 0.15} ${y - d * 0.15} ${x + l * 0.55} ${y - d * 0.1} ${x + l * 0.85} ${middle - d * 0.15}L${x + l} ${y}V${y + d}L${x + l * 0.85} ${middle + d * 0.15}C${x + l * 0.55} ${y + d * 1.1} ${x + l * 0.15} ${y + d * 1.15} ${x} ${middle}Z`
}

function roundPath({ x, y, lengthMm: l, depthMm: d }: Placed): string {
  return `M${x} ${y + d / 2}a${l / 2} ${d / 2} 0 0 1 ${l} 0a${l / 2} ${d / 2} 0 0 1 ${-l} 0Z`
}

/** As thick all along, with round ends. */
function tapePath({ x, y, lengthMm: l, depthMm: d }: Placed): string {
  const r = d / 2
  return `M${x + r} ${y}H${x + l - r}a${r} ${r} 0 0 1 0 ${d}H${x + r}a${r} ${r} 0 0 1 0 ${-d}Z`
}
