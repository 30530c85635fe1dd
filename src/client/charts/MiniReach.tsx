import { useMemo } from 'react'
import { ErrorBoundary } from 'react-error-boundary'
import type { Outfit } from '../../core/documents/outfit.ts'
import type { Trace } from '../../core/documents/trace.ts'
import { layOutReach } from '../../core/layout/reach.ts'
import { drawnAs, Glyph } from './ReachOption.tsx'

type Props = { trace: Trace; outfit: Outfit; width?: number }

/** The reach without labels, for a list. If a trace cannot be drawn, a sentence takes its place and the rest of the list still works. */
export function MiniReach(props: Props) {
  return (
    <ErrorBoundary
      resetKeys={[props.trace, props.outfit]}
      fallback={<p className="text-sm text-fails">This trace cannot be drawn. You can still delete it.</p>}
    >
      <Drawing {...props} />
    </ErrorBoundary>
  )
}

function Drawing({ trace, outfit, width = 420 }: Props) {
  const layout = useMemo(
    () => layOutReach(trace, outfit, { width, trunkY: 22, laneHeight: 26, labelWidth: () => 0 }),
    [trace, outfit, width],
  )
  return (
    <svg
      viewBox={`0 0 ${layout.width} ${layout.height}`}
      className="block h-auto max-h-28 w-full text-ink"
      preserveAspectRatio="xMinYMin"
      aria-hidden="true"
    >
      {layout.drops.map(({ x, y0, y1 }) => (
        <path key={`${x} ${y1}`} d={`M${x} ${y0}V${y1}`} stroke="currentColor" strokeWidth={1.5} />
      ))}
      {layout.items.map((item) => (
        <Glyph key={item.id} item={item} drawn={drawnAs(item, trace, outfit)} />
      ))}
    </svg>
  )
}
