import { memo, type PointerEvent } from 'react'
import type { LinkRef } from '../../core/documents/linkRef.ts'
import type { Outfit, WoundLine } from '../../core/documents/outfit.ts'
import { isLine, pieceById } from '../../core/documents/pieces.ts'
import type { Piece, Trace } from '../../core/documents/trace.ts'
import type { ReachItem, ReachLayout } from '../../core/layout/reach.ts'
import { JointGlyph, LineGlyph, PartGlyph, ReelGlyph } from './glyphs.tsx'

const LABEL_STEP = 13
/** How far up a step of labels is. */
export const TIER_HEIGHT = 28

type Drawn = Piece | WoundLine | undefined

/** What an item of the strip is drawn from, where it is no reel and no joint. */
export const drawnAs = ({ kind, id }: ReachItem, trace: Trace, outfit: Outfit): Drawn =>
  kind === 'wound' ? outfit.wound.find(({ role }) => role === id) : pieceById(trace, id)

type Words = {
  /** What the part is, a line of text for each; empty where it is not written. */
  above: string
  /** Its length. */
  below: string | undefined
  /** A branch drops through the place of its length, which moves up. */
  crowded: boolean
}

type Props = Words & {
  item: ReachItem
  drawn: Drawn
  id: string
  name: string
  chosen: boolean
  weakest: boolean
  slides: boolean
  onSelect: (ref: LinkRef) => void
  onPress: (item: ReachItem, event: PointerEvent) => void
}

/** One part of the reach to choose or to slide. It rests while others change. */
export const ReachOption = memo(function ReachOption(props: Props) {
  const { item, drawn, id, name, chosen, weakest, slides, onSelect, onPress } = props
  return (
    <g
      id={id}
      role="option"
      aria-selected={chosen}
      aria-label={name}
      className={slides ? 'cursor-ew-resize' : 'cursor-pointer'}
      onClick={() => onSelect(item.ref)}
      onPointerDown={(event) => onPress(item, event)}
    >
      <ItemBox item={item} selected={chosen} />
      <g className={weakest ? 'text-fails' : ''}>
        <Glyph item={item} drawn={drawn} />
        <Labels {...props} />
      </g>
    </g>
  )
}, isSame)

/** Alike where its words and its drawing are: items are new in each layout, and their references; the `id` says which. */
function isSame(one: Props, other: Props): boolean {
  return isAlike(one, other, 'item') && isAlike(one.item, other.item, 'ref')
}

const isAlike = <T extends object>(one: T, other: T, but: keyof T): boolean =>
  (Object.keys(one) as (keyof T)[]).every((key) => key === but || one[key] === other[key])

/** The mark of the chosen item, over a hit area that takes in the labels: wet fingers and a moving deck. */
function ItemBox({ item, selected }: { item: ReachItem; selected: boolean }) {
  const { x0, x1, y, onLine } = item
  return (
    <>
      {!onLine && <rect x={x0} y={y - 46} width={x1 - x0} height={72} fill="transparent" />}
      <rect
        x={x0}
        y={y - 13}
        width={x1 - x0}
        height={26}
        rx={5}
        fill={selected ? 'var(--spread)' : 'transparent'}
        stroke={selected ? 'var(--tide)' : 'none'}
        strokeWidth={1.5}
      />
    </>
  )
}

const DROP_CLEARANCE = 30

/** Whether a branch drops through the place of an item's length, which is then written with its name. */
export const isCrowded = ({ drops }: ReachLayout, item: ReachItem): boolean =>
  drops.some((drop) => drop.y0 === item.y && Math.abs(drop.x - (item.x0 + item.x1) / 2) < DROP_CLEARANCE)

export function Glyph({ item, drawn }: { item: ReachItem; drawn: Drawn }) {
  const { kind, x0, x1, y } = item
  const x = (x0 + x1) / 2
  if (kind === 'reel') return <ReelGlyph x={x} y={y} />
  if (kind === 'joint')
    return (
      <>
        <line x1={x0} x2={x1} y1={y} y2={y} stroke="currentColor" strokeWidth={1.5} />
        <JointGlyph x={x} y={y} />
      </>
    )
  if (!drawn) return null
  if (!('id' in drawn))
    return (
      <>
        <LineGlyph material={drawn.material} x0={x0} x1={x1} y={y} />
        <path d={`M${x - 5} ${y + 6}l4-12M${x + 1} ${y + 6}l4-12`} stroke="currentColor" strokeWidth={1.4} />
      </>
    )
  return isLine(drawn) ? (
    <LineGlyph material={drawn.material} x0={x0} x1={x1} y={y} doubled={drawn.role === 'double'} />
  ) : (
    <PartGlyph piece={drawn} item={item} />
  )
}

/** What the part is, and under it its length. */
export function Labels({
  item,
  above,
  below,
  crowded,
  chosen,
  weakest,
}: Pick<Props, 'item' | keyof Words | 'chosen' | 'weakest'>) {
  if (above === '' && !below) return null
  const x = (item.x0 + item.x1) / 2
  const lines = (crowded && below ? `${above}, ${below}` : above).split('\n')
  const up = item.tier * TIER_HEIGHT
  const top = item.y - (item.kind === 'reel' ? 24 : 18) - (lines.length - 1) * LABEL_STEP - up
  return (
    <g fontSize={12} textAnchor="middle" fontWeight={chosen || weakest ? 700 : 400}>
      {up > 0 && <line x1={x} x2={x} y1={item.y - 10} y2={item.y - 14 - up} stroke="var(--edge)" strokeWidth={1} />}
      {lines.map((text, i) => (
        <text key={text} x={x} y={top + i * LABEL_STEP}>
          {text}
        </text>
      ))}
      {below && !crowded && (
        <text x={x} y={item.y + 23} style={{ fill: 'var(--quiet)' }}>
          {below}
        </text>
      )}
    </g>
  )
}
