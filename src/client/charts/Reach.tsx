import { type KeyboardEvent, memo, type PointerEvent, useId, useRef } from 'react'
import type { LinkRef } from '../../core/documents/linkRef.ts'
import type { Outfit } from '../../core/documents/outfit.ts'
import type { Trace } from '../../core/documents/trace.ts'
import { downAtX } from '../../core/layout/downAtX.ts'
import type { ReachItem, ReachLayout } from '../../core/layout/reach.ts'
import { useStableCallback } from '../ui/useStableCallback.ts'
import type { ReachLabel } from '../words/names.ts'
import { drawnAs, isCrowded, ReachOption } from './ReachOption.tsx'

type Props = {
  trace: Trace
  outfit: Outfit
  layout: ReachLayout
  label: (ref: LinkRef) => ReachLabel
  labelWidth: (ref: LinkRef) => number
  name: (ref: LinkRef) => string
  /** `linkKey` of what is chosen, and of the weakest link. */
  selected: string | undefined
  weakest: string | undefined
  onSelect: (ref: LinkRef) => void
  /** Part to slide along its line by the pointer: where it rides, undefined where it does not. */
  rides: (ref: LinkRef) => string | undefined
  onSlide: (id: string, downM: number) => void
  onSlid: () => void
  onKey: (action: ReachAction) => void
}

/** What a key on the reach asks for, beyond walking it. */
export type ReachAction = 'add' | 'remove' | 'nudgeToReel' | 'nudgeToHook'

const ACTIONS: Record<string, ReachAction> = {
  Insert: 'add',
  '+': 'add',
  Delete: 'remove',
  'Shift+ArrowLeft': 'nudgeToReel',
  'Shift+ArrowRight': 'nudgeToHook',
}

const NO_LABEL: ReachLabel = { above: [] }

/** The reach: every part on one strip, each a choice in a list that the pointer or the arrow keys walk. It rests while only loads change. */
export const Reach = memo(function Reach({
  trace,
  outfit,
  layout,
  label,
  labelWidth,
  name,
  selected,
  weakest,
  onSelect,
  rides,
  onSlide,
  onSlid,
  onKey,
}: Props) {
  const drag = useSlideDrag({ trace, layout, rides, onSlide, onSlid })
  const prefix = useId()
  const ordered = layout.items.toSorted((a, b) => a.y - b.y || a.x0 - b.x0)
  const at = ordered.findIndex(({ id }) => id === selected)

  // With lengths compressed every label has its room; at true scale a label is written only where it fits, or is asked for.
  const isWritten = (item: ReachItem) =>
    !item.onLine && (layout.metresPerUnit === undefined || item.id === selected || labelWidth(item.ref) <= item.x1 - item.x0)

  const onKeyDown = (event: KeyboardEvent) => {
    const action = ACTIONS[event.key.startsWith('Arrow') && event.shiftKey ? `Shift+${event.key}` : event.key]
    if (action) {
      event.preventDefault()
      onKey(action)
      return
    }
    const to = { ArrowRight: at + 1, ArrowDown: at + 1, ArrowLeft: at - 1, ArrowUp: at - 1, Home: 0, End: ordered.length - 1 }[
      event.key
    ]
    if (to === undefined) return
    event.preventDefault()
    const next = ordered[Math.max(0, Math.min(ordered.length - 1, to))]
    if (next) onSelect(next.ref)
  }

  return (
    <svg
      width={layout.width}
      height={layout.height}
      className="block text-ink"
      role="listbox"
      aria-label="The reach: parts from the reel to the hooks. Arrow keys select, Insert adds, Delete removes, Shift and an arrow move a part."
      ref={drag.ref}
      onPointerMove={drag.onPointerMove}
      onPointerUp={drag.onPointerUp}
      onPointerCancel={drag.onPointerUp}
      aria-orientation="horizontal"
      aria-activedescendant={at >= 0 ? `${prefix}${selected}` : undefined}
      tabIndex={0}
      onKeyDown={onKeyDown}
      onFocus={() => at < 0 && ordered[0] && onSelect(ordered[0].ref)}
    >
      <g>
        {layout.drops.map(({ x, y0, y1 }) => (
          <path key={`${x} ${y1}`} d={`M${x} ${y0}V${y1}`} stroke="currentColor" strokeWidth={1.5} fill="none" />
        ))}
      </g>
      {layout.folds.map(({ x, y, count }) => (
        <text key={`${x} ${y}`} x={x + 6} y={y + 4} fontSize={12} style={{ fill: 'var(--quiet)' }}>
          {count} alike
        </text>
      ))}
      {ordered.map((item) => {
        const { above, below } = isWritten(item) ? label(item.ref) : NO_LABEL
        return (
          <ReachOption
            key={item.id}
            item={item}
            drawn={drawnAs(item, trace, outfit)}
            id={`${prefix}${item.id}`}
            name={name(item.ref)}
            above={above.join('\n')}
            below={below}
            crowded={isCrowded(layout, item)}
            chosen={item.id === selected}
            weakest={item.id === weakest}
            slides={rides(item.ref) !== undefined}
            onSelect={onSelect}
            onPress={drag.onPress}
          />
        )
      })}
    </svg>
  )
})

type DragArgs = Pick<Props, 'trace' | 'layout' | 'rides' | 'onSlide' | 'onSlid'>

/** Slides a part along its line while the pointer is down on it; a press without a move stays a choice. */
function useSlideDrag({ trace, layout, rides, onSlide, onSlid }: DragArgs) {
  const ref = useRef<SVGSVGElement>(null)
  const held = useRef<{ id: string; line: string; grabX: number; moved: boolean }>(undefined)
  const xOf = (event: PointerEvent) => event.clientX - (ref.current?.getBoundingClientRect().left ?? 0)
  return {
    ref,
    onPress: useStableCallback((item: ReachItem, event: PointerEvent) => {
      const line = rides(item.ref)
      if (line === undefined || event.button !== 0) return
      held.current = { id: item.id, line, grabX: xOf(event) - (item.onLine ? (item.x0 + item.x1) / 2 : item.x0), moved: false }
    }),
    onPointerMove: (event: PointerEvent) => {
      const hold = held.current
      if (!hold || (!hold.moved && Math.abs(event.movementX) < 1)) return
      if (!hold.moved) ref.current?.setPointerCapture(event.pointerId)
      hold.moved = true
      const downM = downAtX(layout, trace, hold.line, xOf(event) - hold.grabX)
      if (downM !== undefined) onSlide(hold.id, downM)
    },
    onPointerUp: () => {
      if (held.current?.moved) onSlid()
      held.current = undefined
    },
  }
}
