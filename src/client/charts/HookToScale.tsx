import { hookDimensions } from '../../core/catalogue/hooks.ts'
import type { HookPiece } from '../../core/documents/trace.ts'
import { hookOutline } from '../../core/layout/hookOutline.ts'
import { useCatalogue } from '../catalogue/useCatalogue.ts'
import { DEFAULT_PX_PER_MM, trueSize } from '../settings/trueSize.ts'
import { HookShape } from './HookShape.tsx'
import { ScaleBar } from './ScaleBar.tsx'

const MARGIN_MM = 2

/** A hook at its measured, else nominal size with a centimetre beside it, so that 2 is not taken for 2/0. */
export function HookToScale({
  pattern,
  size,
  gapeM,
  wireM,
  barbless,
}: Pick<HookPiece, 'pattern' | 'size' | 'gapeM' | 'wireM' | 'barbless'>) {
  const catalogue = useCatalogue()
  const dimensions = hookDimensions(catalogue, pattern, size, { gapeM, wireM })
  if (!dimensions) return null
  const outline = hookOutline(catalogue, pattern, dimensions)
  const left = 2 * outline.eyeMm + outline.wireMm + MARGIN_MM
  const width = left + Math.max(outline.lengthMm, 12) + MARGIN_MM
  const top = outline.topMm + MARGIN_MM
  const height = top + outline.bottomMm + 8
  return (
    <svg
      {...trueSize(width, height)}
      viewBox={`${-left} ${-top} ${width} ${height}`}
      className="max-w-full text-ink"
      role="img"
      aria-label={`Hook ${size} at its ${gapeM === undefined ? 'nominal' : 'measured'} size, gap ${(dimensions.gapeM * 1000).toFixed(0)} mm`}
    >
      <HookShape outline={outline} barbless={barbless} />
      <ScaleBar x={0} y={height - top - 1} mm={10} pxPerMm={DEFAULT_PX_PER_MM} />
    </svg>
  )
}
