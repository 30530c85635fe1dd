import { type KeyboardEvent, type PointerEvent, useRef } from 'react'
import { type TakeDrawing, takeDrawing } from '../../core/layout/takeDrawing.ts'
import type { Baited } from '../../core/setup/baiting.ts'
import { percent } from '../../core/units/percent.ts'
import { useCatalogue } from '../catalogue/useCatalogue.ts'
import { usePreferences } from '../settings/preferences.tsx'
import { baitPath } from './baitPath.ts'
import { HookShape } from './HookShape.tsx'
import { ScaleBar } from './ScaleBar.tsx'

type Props = {
  baited: Baited
  freeGape: number
  widthPx: number
  /** How far along the bait a hook is moved, m towards the tail; without it, the drawing is only looked at. */
  onMove?: (hookId: string, byM: number) => void
}

/** A hook moves by so much at a press of an arrow key, and in whole steps of it under the pointer, mm. */
const STEP_MM = 1
const DRAG_STEP_MM = 5

/** Bait and hooks in side view, to scale: what of the gap the bait leaves free, and the next sizes in dots. */
export function TakeChart({ baited, freeGape, widthPx, onMove }: Props) {
  const drawing = takeDrawing(useCatalogue(), baited)
  const { bait, hooks, ghosts, free, box } = drawing
  const { pxPerMm: truePxPerMm } = usePreferences()
  const pxPerMm = Math.min(truePxPerMm, widthPx / box.width)
  const footMm = 18 / pxPerMm
  const barMm = box.width > 60 ? 50 : 10
  const trueSize = pxPerMm === truePxPerMm ? ' in true size' : ''
  return (
    <svg
      width={box.width * pxPerMm}
      height={(box.height + footMm) * pxPerMm}
      viewBox={`${box.x} ${box.y} ${box.width} ${box.height + footMm}`}
      className="max-w-full text-ink"
      role={onMove ? 'group' : 'img'}
      aria-label={`${hooks.length === 1 ? `Hook ${baited.hook.size}` : `${hooks.length} hooks ${baited.hook.size}`} in the bait${trueSize}: ${percent(freeGape)} of the gap open`}
    >
      <path d={baitPath(bait)} fill="var(--spread)" stroke="currentColor" strokeWidth={1 / pxPerMm} opacity={0.75} />
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
      <Covered drawing={drawing} pxPerMm={pxPerMm} />
      {hooks.map(({ id, x, outline }) => (
        <g key={id} transform={`translate(${x} 0)`}>
          <HookShape outline={outline} />
          {onMove && (
            <HookHandle
              label={`${id}: along the bait`}
              fromTailMm={bait.lengthMm - x - outline.lengthMm}
              box={{ lengthMm: outline.lengthMm, bottomMm: outline.bottomMm }}
              pxPerMm={pxPerMm}
              onMove={(mm) => onMove(id, mm / 1000)}
            />
          )}
        </g>
      ))}
      <ScaleBar x={box.x + 2} y={box.y + box.height + footMm - 3 / pxPerMm} mm={barMm} pxPerMm={pxPerMm} />
    </svg>
  )
}

/** Where the hooks go in and out along the middle of the bait, from the first eye to the last bend. */
function Covered({ drawing: { bait, hooks }, pxPerMm }: { drawing: TakeDrawing; pxPerMm: number }) {
  const [first, last] = [hooks[0], hooks.at(-1)]
  if (!first || !last || hooks.length < 2) return null
  const y = bait.y + bait.depthMm / 2
  const tick = 4 / pxPerMm
  return (
    <path
      d={`M${first.x} ${y - tick}v${2 * tick}M${first.x} ${y}H${last.x + last.outline.lengthMm}m0 ${-tick}v${2 * tick}`}
      stroke="currentColor"
      strokeWidth={1 / pxPerMm}
      strokeDasharray={`${3 / pxPerMm} ${3 / pxPerMm}`}
      fill="none"
      opacity={0.7}
      data-covered=""
    />
  )
}

type HandleProps = {
  label: string
  fromTailMm: number
  box: { lengthMm: number; bottomMm: number }
  pxPerMm: number
  onMove: (mm: number) => void
}

/** What a hook is taken by: the pointer drags it in steps, the arrow keys move it a millimetre. */
function HookHandle({ label, fromTailMm, box, pxPerMm, onMove }: HandleProps) {
  const held = useRef<number>(undefined)
  const onKeyDown = (event: KeyboardEvent) => {
    const way = { ArrowLeft: -1, ArrowRight: 1 }[event.key]
    if (way === undefined) return
    event.preventDefault()
    onMove(way * (event.shiftKey ? DRAG_STEP_MM : STEP_MM))
  }
  const onPointerMove = (event: PointerEvent) => {
    if (held.current === undefined) return
    const steps = Math.trunc((event.clientX - held.current) / pxPerMm / DRAG_STEP_MM)
    if (steps === 0) return
    held.current += steps * DRAG_STEP_MM * pxPerMm
    onMove(steps * DRAG_STEP_MM)
  }
  return (
    <rect
      x={-2}
      y={-4}
      width={box.lengthMm + 2}
      height={box.bottomMm + 8}
      rx={1}
      fill="transparent"
      className="cursor-ew-resize stroke-transparent hover:stroke-tide focus-visible:stroke-tide"
      strokeWidth={1.5 / pxPerMm}
      tabIndex={0}
      role="slider"
      aria-label={label}
      aria-valuenow={Math.round(fromTailMm)}
      aria-valuetext={`${Math.round(fromTailMm)} mm from the tail`}
      onKeyDown={onKeyDown}
      onPointerDown={(event) => {
        held.current = event.clientX
        event.currentTarget.setPointerCapture(event.pointerId)
      }}
      onPointerMove={onPointerMove}
      onPointerUp={() => {
        held.current = undefined
      }}
    />
  )
}
