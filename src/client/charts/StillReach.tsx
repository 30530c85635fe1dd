import type { Ref } from 'react'
import type { Rig } from '../../core/setup/setup.ts'
import { useShow } from '../settings/preferences.tsx'
import { drawnAs, Glyph, isCrowded, Labels } from './ReachOption.tsx'
import { useReach } from './useReach.ts'

/** The reach with its labels, to look at and to print. */
export function StillReach({ rig, width, ref }: { rig: Rig; width: number; ref?: Ref<SVGSVGElement> }) {
  const show = useShow()
  const { label, layout } = useReach(rig, width, show, false, undefined, undefined)
  return (
    <svg ref={ref} width={layout.width} height={layout.height} className="block text-ink" role="img" aria-label="The reach">
      {layout.drops.map(({ x, y0, y1 }) => (
        <path key={`${x} ${y1}`} d={`M${x} ${y0}V${y1}`} stroke="currentColor" strokeWidth={1.5} fill="none" />
      ))}
      {layout.folds.map(({ x, y, count }) => (
        <text key={`${x} ${y}`} x={x + 6} y={y + 4} fontSize={12}>
          {count} alike
        </text>
      ))}
      {layout.items.map((item) => {
        const { above, below } = item.onLine ? { above: [], below: undefined } : label(item.ref)
        return (
          <g key={item.id}>
            <Glyph item={item} drawn={drawnAs(item, rig.trace, rig.outfit)} />
            <Labels
              item={item}
              above={above.join('\n')}
              below={below}
              crowded={isCrowded(layout, item)}
              chosen={false}
              weakest={false}
            />
          </g>
        )
      })}
    </svg>
  )
}
