import type { ReactNode } from 'react'
import { hookDimensions } from '../../core/catalogue/hooks.ts'
import type { HardwareType, Material } from '../../core/catalogue/ids.ts'
import { isHeaded, isLine } from '../../core/documents/pieces.ts'
import type { HookPiece, Piece } from '../../core/documents/trace.ts'
import { hookOutline } from '../../core/layout/hookOutline.ts'
import type { ReachItem } from '../../core/layout/reach.ts'
import { useCatalogue } from '../catalogue/useCatalogue.ts'
import { baitPath } from './baitPath.ts'
import { HookShape } from './HookShape.tsx'

/** How a material is drawn: braid woven, mono a plain double edge, fluoro a fine line with a bright core, wire dotted steel. */
export function LineGlyph({
  material,
  x0,
  x1,
  y,
  doubled,
}: {
  material: Material
  x0: number
  x1: number
  y: number
  doubled?: boolean
}) {
  const edge = (dy: number, more: object = {}) => (
    <line x1={x0} x2={x1} y1={y + dy} y2={y + dy} stroke="currentColor" strokeWidth={1.5} {...more} />
  )
  if (doubled)
    return (
      <>
        {edge(-3, { strokeDasharray: '6 2' })}
        {edge(3, { strokeDasharray: '6 2' })}
      </>
    )
  switch (material) {
    case 'braid':
      return edge(0, { strokeWidth: 3, strokeDasharray: '7 2.5' })
    case 'mono':
      return (
        <>
          {edge(-2)}
          {edge(2)}
        </>
      )
    case 'fluoro':
      return (
        <>
          {edge(-2.5, { strokeWidth: 1 })}
          {edge(0, { strokeWidth: 1, strokeDasharray: '1 4' })}
          {edge(2.5, { strokeWidth: 1 })}
        </>
      )
    case 'wire':
      return edge(0, { strokeWidth: 2.5, strokeDasharray: '1.5 3', strokeLinecap: 'round' })
    case 'cable':
      return edge(0, { strokeWidth: 4, strokeDasharray: '3 1.5' })
    case 'cord':
      return edge(0, { strokeWidth: 4.5 })
  }
}

/** A knot: a tight barrel of coils on the line. */
export function JointGlyph({ x, y }: { x: number; y: number }) {
  return (
    <g>
      <rect x={x - 7} y={y - 5} width={14} height={10} rx={4} fill="var(--sheet)" stroke="currentColor" strokeWidth={1.6} />
      {[-3, 0, 3].map((dx) => (
        <line key={dx} x1={x + dx - 1} x2={x + dx + 1} y1={y + 5} y2={y - 5} stroke="currentColor" strokeWidth={1.2} />
      ))}
    </g>
  )
}

export function ReelGlyph({ x, y }: { x: number; y: number }) {
  return (
    <g fill="none" stroke="currentColor">
      <circle cx={x} cy={y} r={17} strokeWidth={2} />
      <circle cx={x} cy={y} r={11} strokeWidth={1} strokeDasharray="2 2" />
      <circle cx={x} cy={y} r={4.5} fill="currentColor" />
    </g>
  )
}

/** Lengths of the smallest and the largest hook on the strip, px, and the size that the largest is for, mm. */
const HOOK_PX = { least: 15, most: 25 }
const LARGE_HOOK_MM = 70
/** Deepest that a hook reaches below the strip, and the thinnest its wire is, px. */
const HOOK_DEPTH_PX = 19
const LEAST_WIRE_PX = 1.3

/** A hook with its eye at a place of the strip, by its pattern: larger hooks are drawn larger, but never to scale with each other. */
function HookGlyph({ hook, x, y }: { hook: HookPiece; x: number; y: number }) {
  const catalogue = useCatalogue()
  const { pattern, size, gapeM, wireM, barbless } = hook
  const dimensions = hookDimensions(catalogue, pattern, size, { gapeM, wireM })
  if (!dimensions) return null
  const outline = hookOutline(catalogue, pattern, dimensions)
  const lengthPx = HOOK_PX.least + (HOOK_PX.most - HOOK_PX.least) * Math.min(1, outline.lengthMm / LARGE_HOOK_MM)
  const scale = Math.min(lengthPx / outline.lengthMm, HOOK_DEPTH_PX / outline.bottomMm)
  return (
    <g transform={`translate(${x + 2 * outline.eyeMm * scale} ${y}) scale(${scale})`}>
      <HookShape outline={outline} barbless={barbless} leastWireMm={LEAST_WIRE_PX / scale} />
    </g>
  )
}

/** A part in its slot: drawn as what it is, small and plain. */
export function PartGlyph({ piece, item }: { piece: Piece; item: ReachItem }): ReactNode {
  const { baits } = useCatalogue()
  const { x0, x1, y, onLine } = item
  const x = (x0 + x1) / 2
  if (isLine(piece)) return null
  const lead = (to: number) => <line x1={x0} x2={to} y1={y} y2={y} stroke="currentColor" strokeWidth={1.5} />
  switch (piece.role) {
    case 'sinker':
      return (
        <>
          {lead(x - 12)}
          <path d={`M${x - 14} ${y}c6-2 8-8 16-8a11 8 0 0 1 0 16c-8 0-10-6-16-8Z`} fill="currentColor" opacity={0.82} />
        </>
      )
    case 'hook':
      return (
        <>
          {lead(x - 8)}
          <HookGlyph hook={piece} x={x - 8} y={y} />
          {isHeaded(piece) && <circle cx={x - 5} cy={y} r={5.5} fill="currentColor" opacity={0.82} />}
        </>
      )
    case 'bait':
      return (
        <g fill="none" stroke="currentColor" strokeWidth={1.4}>
          <path d={`M${x0 - 2} ${y + 8}H${x - 12}`} strokeDasharray="1.5 2.5" />
          <path
            d={baitPath({ form: baits[piece.bait].form, x: x - 12, y: y + 2, lengthMm: 26, depthMm: 12 })}
            fill="var(--spread)"
          />
        </g>
      )
    case 'lure':
      return (
        <>
          {lead(x - 12)}
          <path d={`M${x - 12} ${y}q12-11 24 0q-12 11-24 0Z`} fill="none" stroke="currentColor" strokeWidth={1.8} />
        </>
      )
    case 'light':
      return (
        <>
          {lead(x - 6)}
          <circle cx={x} cy={y} r={6} fill="none" stroke="currentColor" strokeWidth={1.5} strokeDasharray="2 2" />
        </>
      )
    case 'float':
      return (
        <>
          {lead(x - 9)}
          <ellipse cx={x} cy={y} rx={9} ry={5.5} fill="var(--sheet)" stroke="currentColor" strokeWidth={1.6} />
        </>
      )
    default:
      return onLine ? <SmallPart type={piece.type} x={x} y={y} /> : <Hardware type={piece.type} x={x} y={y} x0={x0} x1={x1} />
  }
}

function SmallPart({ type, x, y }: { type: HardwareType; x: number; y: number }) {
  if (type === 'bead') return <circle cx={x} cy={y} r={3.2} fill="var(--sheet)" stroke="currentColor" strokeWidth={1.4} />
  if (type === 'crimp') return <rect x={x - 2.5} y={y - 4.5} width={5} height={9} fill="currentColor" />
  if (type === 'stopKnot')
    return <path d={`M${x - 3} ${y - 5}l6 10M${x + 3} ${y - 5}l-6 10`} stroke="currentColor" strokeWidth={1.6} />
  if (type === 'breakBand')
    return (
      <rect
        x={x - 3}
        y={y - 5}
        width={6}
        height={10}
        fill="var(--sheet)"
        stroke="currentColor"
        strokeWidth={1.4}
        strokeDasharray="2 1.5"
      />
    )
  if (type === 'baitClip')
    return (
      <path d={`M${x} ${y - 6}v8a3.5 3.5 0 0 0 7 0`} fill="none" stroke="currentColor" strokeWidth={1.8} strokeLinecap="round" />
    )
  if (type === 'rubberStop') return <ellipse cx={x} cy={y} rx={2.6} ry={5} fill="currentColor" />
  if (type === 'sleeve' || type === 'tube')
    return (
      <rect
        x={x - (type === 'tube' ? 12 : 7)}
        y={y - 3.5}
        width={type === 'tube' ? 24 : 14}
        height={7}
        rx={type === 'tube' ? 0 : 3.5}
        fill="var(--sheet)"
        stroke="currentColor"
        strokeWidth={1.4}
      />
    )
  if (type === 'loop' || type === 'whippedLoop')
    return <ellipse cx={x} cy={y + 4} rx={3} ry={5} fill="var(--sheet)" stroke="currentColor" strokeWidth={1.4} />
  return <rect x={x - 4} y={y - 4} width={8} height={8} rx={4} fill="var(--sheet)" stroke="currentColor" strokeWidth={1.8} />
}

type HardwareProps = { type: HardwareType; x: number; y: number; x0: number; x1: number }

const RINGS: readonly HardwareType[] = ['splitRing', 'solidRing', 'clipRing']

/** Hardware in line, each drawn as what it is: rings, a loop, a wheel for a pulley, eyes on a barrel for swivels. */
function Hardware({ type, x, y, x0, x1 }: HardwareProps) {
  const arms = (reach: number) => (
    <>
      <line x1={x0} x2={x - reach} y1={y} y2={y} />
      <line x1={x + reach} x2={x1} y1={y} y2={y} />
    </>
  )
  if (type === 'loop')
    return (
      <g stroke="currentColor" strokeWidth={1.5} fill="none">
        {arms(8)}
        <ellipse cx={x} cy={y} rx={8} ry={4.5} />
      </g>
    )
  if (RINGS.includes(type))
    return (
      <g stroke="currentColor" strokeWidth={1.6} fill="none">
        {arms(6)}
        <circle cx={x} cy={y} r={6} />
        {type === 'splitRing' && <circle cx={x} cy={y} r={3.8} strokeWidth={1} />}
      </g>
    )
  if (type === 'pulleyBead')
    return (
      <g stroke="currentColor" strokeWidth={1.6} fill="var(--sheet)">
        {arms(8)}
        <circle cx={x} cy={y} r={8} />
        <circle cx={x} cy={y} r={2.5} fill="currentColor" />
      </g>
    )
  if (type === 'eyedWire')
    return (
      <g stroke="currentColor" strokeWidth={1.6} fill="var(--sheet)">
        {arms(12)}
        <line x1={x - 6} x2={x + 6} y1={y} y2={y} strokeWidth={2.4} />
        <circle cx={x - 9} cy={y} r={3} />
        <circle cx={x + 9} cy={y} r={3} />
      </g>
    )
  const open = type === 'snap' || type === 'snapSwivel'
  return (
    <g stroke="currentColor" strokeWidth={1.6} fill="var(--sheet)">
      {arms(11)}
      <circle cx={x - 8} cy={y} r={3.6} />
      {open ? <path d={`M${x + 3} ${y}q7-7 10 0q-3 5-7 2`} fill="none" /> : <circle cx={x + 8} cy={y} r={3.6} />}
      {type === 'threeWay' && <circle cx={x} cy={y + 8} r={3.6} />}
      <rect x={x - 4.5} y={y - 4} width={9} height={8} rx={2} fill="currentColor" />
    </g>
  )
}
