import { useId } from 'react'
import type { Point } from '../../core/knots/curve.ts'
import { type Elided, elided } from '../../core/knots/elide.ts'
import { type EndName, isDoubled, type Picture, type PicturedStrand, type Sleeve } from '../../core/knots/picture.ts'
import { type Paint, paintsOf, stretch } from '../../core/knots/project.ts'

/** Ground that shows beside a strand that passes over another, and the line round a strand, in radii of the usual line. */
const HALO = 0.55
const OUTLINE = 0.3
/** Room round a drawing for the names of its ends. */
const MARGIN = 8

const END_NAMES: Record<EndName, string> = { reel: 'reel', tag: 'tag', leader: 'leader', hook: 'trace' }

export type Box = { x: number; y: number; width: number; height: number }

/** The box that all of some pictures lie in, so that from step to step nothing jumps. */
export function boxOf(pictures: readonly Picture[]): Box {
  const strands = pictures.flatMap((picture) => elided(picture).picture.strands)
  const points = strands.flatMap((strand) => [...strand.points, ...namesOf(strand).map(({ at }) => at)])
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => -y)]
  const [x, y] = [Math.min(...xs) - MARGIN, Math.min(...ys) - MARGIN]
  return { x, y, width: Math.max(...xs) + MARGIN - x, height: Math.max(...ys) + MARGIN - y }
}

type Props = { picture: Picture; box: Box; label: string; pxPerUnit: number; mirrored: boolean }

/** One step of a knot: a curve in space seen from its depths, what is new in it strong, what lies already quiet. */
export function KnotPicture({ picture, box, label, pxPerUnit, mirrored }: Props) {
  const id = useId()
  const shown = elided(picture)
  const { strands } = shown.picture
  const flip = mirrored ? -1 : 1
  const left = mirrored ? -box.x - box.width : box.x
  return (
    <svg
      role="img"
      aria-label={label}
      width={box.width * pxPerUnit}
      height={box.height * pxPerUnit}
      viewBox={`${left} ${box.y} ${box.width} ${box.height}`}
      className="block max-w-full text-ink"
    >
      <defs>
        <pattern id={id} width={1.1} height={1.1} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V1.1" stroke="currentColor" strokeWidth={0.5} />
        </pattern>
      </defs>
      <g transform={`scale(${flip} 1)`}>
        {paintsOf(shown.picture).map((paint, i) => (
          <StrandPiece key={`${paint.strand}.${i}`} strand={strands[paint.strand]!} paint={paint} hatch={`url(#${id})`} />
        ))}
        {picture.sleeve && <SleeveShape sleeve={picture.sleeve} />}
        {strands.map((strand, i) => (
          <Hand key={`${strand.id}.${i}`} strand={strand} />
        ))}
      </g>
      <EndLabels strands={strands} flip={flip} fontSize={12 / pxPerUnit} />
      <LeftOut left={shown.left} flip={flip} fontSize={12 / pxPerUnit} />
    </svg>
  )
}

const pathOf = (points: readonly Point[]) => `M${points.map(([x, y]) => `${x.toFixed(2)} ${(-y).toFixed(2)}`).join('L')}`

/** How much of a line from its tag on is hatched, at most a third of it, and on either side of its loop’s tip dotted, in points of its curve. */
const TAG_POINTS = 40
const LOOP_POINTS = 20

function StrandPiece({ strand, paint, hatch }: { strand: PicturedStrand; paint: Paint; hatch: string }) {
  const { points, radius, kind, fresh, start, end, loop } = strand
  const path = (from: number, to: number) => pathOf(stretch(points, Math.max(paint.from, from), Math.min(paint.to, to)))
  const own = pathOf(stretch(points, paint.from, paint.to))
  const width = 2 * radius
  if (paint.halo) return <path d={own} fill="none" stroke="var(--sheet)" strokeWidth={width + 2 * HALO} />
  const whole = paint.from === 0 && paint.to === points.length - 1
  const cap = whole ? 'round' : 'butt'
  const inner = width - 2 * OUTLINE
  const meets = (from: number, to: number) => paint.from < to && paint.to > from
  const hatched = Math.min(TAG_POINTS, Math.floor(points.length / 3))
  const tagFrom = end === 'tag' ? points.length - 1 - hatched : undefined
  return (
    <g fill="none" strokeLinejoin="round">
      <path d={own} stroke="currentColor" strokeWidth={width} strokeLinecap={cap} />
      <path d={own} stroke={kind === 'metal' ? 'var(--rule)' : 'var(--well)'} strokeWidth={inner} strokeLinecap={cap} />
      {fresh && meets(fresh.from, fresh.to) && (
        <path d={path(fresh.from, fresh.to)} stroke="var(--tide)" strokeWidth={inner} strokeLinecap={cap} />
      )}
      {kind === 'other' && <path d={own} stroke="var(--quiet)" strokeWidth={inner * 0.3} strokeLinecap={cap} />}
      {tagFrom !== undefined && meets(tagFrom, points.length - 1) && (
        <path d={path(tagFrom, points.length - 1)} stroke={hatch} strokeWidth={inner} strokeLinecap={cap} />
      )}
      {start === 'tag' && meets(0, hatched) && (
        <path d={path(0, hatched)} stroke={hatch} strokeWidth={inner} strokeLinecap={cap} />
      )}
      {loop !== undefined && meets(loop - LOOP_POINTS, loop + LOOP_POINTS) && (
        <path
          d={path(loop - LOOP_POINTS, loop + LOOP_POINTS)}
          stroke="currentColor"
          strokeWidth={inner * 0.45}
          strokeLinecap="round"
          strokeDasharray="0.01 1.5"
        />
      )}
    </g>
  )
}

/** Which way a line ends, in the picture. */
function endWay(points: readonly Point[]): [number, number] {
  const [tip, before] = [points.at(-1)!, points.at(-10) ?? points[0]!]
  return [tip[0] - before[0], before[1] - tip[1]]
}

/** Which way a loop points, in the picture: from between its sides to its tip, of length 1. */
function outOf(points: readonly Point[], loop: number): [number, number] {
  const [tip, one, other] = [points[loop]!, points[Math.max(0, loop - 9)]!, points[Math.min(points.length - 1, loop + 9)]!]
  const [dx, dy] = [tip[0] - (one[0] + other[0]) / 2, (one[1] + other[1]) / 2 - tip[1]]
  const length = Math.hypot(dx, dy) || 1
  return [dx / length, dy / length]
}

/** Where the hand goes: an arrow on from the tag or the loop that it moved. */
function Hand({ strand: { points, hand } }: { strand: PicturedStrand }) {
  if (hand === undefined) return null
  const tip = points[hand]!
  const [dx, dy] = hand === points.length - 1 ? endWay(points) : outOf(points, hand)
  const turn = (Math.atan2(dy, dx) * 180) / Math.PI
  return (
    <path
      transform={`translate(${tip[0]} ${-tip[1]}) rotate(${turn})`}
      d="M2 0H6.4M4.4 -1.8L6.6 0L4.4 1.8"
      fill="none"
      stroke="var(--tide)"
      strokeWidth={0.8}
      strokeLinecap="round"
      strokeLinejoin="round"
    />
  )
}

/** Two barrels side by side; pressed, the middle is narrower and both ends stay flared. */
function SleeveShape({ sleeve: { from, to, halfHeight, pressed } }: { sleeve: Sleeve }) {
  const [flare, waist] = [halfHeight + 0.6, pressed ? halfHeight * 0.72 : halfHeight + 0.6]
  const [a, b] = [from + 2.4, to - 2.4]
  const edge = (side: 1 | -1) => `${from} ${side * flare} C${a} ${side * flare} ${a} ${side * waist} ${a + 1.6} ${side * waist}`
  return (
    <path
      d={`M${edge(-1)}L${b - 1.6} ${-waist}C${b} ${-waist} ${b} ${-flare} ${to} ${-flare}V${flare}C${b} ${flare} ${b} ${waist} ${b - 1.6} ${waist}L${a + 1.6} ${waist}C${a} ${waist} ${a} ${flare} ${from} ${flare}Z`}
      fill="var(--rule)"
      fillOpacity={0.75}
      stroke="currentColor"
      strokeWidth={OUTLINE}
    />
  )
}

/** Room beyond what the hand moves for its name: past its arrow; and beyond anything else. */
const PAST_ARROW = 8.4
const BEYOND = 2.4
/** Two ends of one name that lie nearer than this have it once. */
const ONE_PLACE = 14

/** `way`: a name that is beyond something, on in that direction; else it is over or under its place. */
type Named = { name: string; at: Point } & ({ side: 1 | -1 } | { way: [number, number] })

/** The names of a strand’s ends and of its loop, and where they stand: beyond them, or over and under where two lie beside each other. */
function namesOf({ points, start, end, loop, hand }: PicturedStrand): Named[] {
  const [first, last] = [points[0]!, points.at(-1)!]
  const doubled = isDoubled(points)
  const over = (at: Point, other: Point): 1 | -1 => (doubled ? (at[1] > other[1] ? 1 : -1) : at[1] >= 0 ? 1 : -1)
  const named: Named[] = []
  // The two sides of a loop go to one place.
  if (start && start === end && Math.hypot(first[0] - last[0], first[1] - last[1]) < ONE_PLACE)
    return [{ name: END_NAMES[start], at: [(first[0] + last[0]) / 2, first[1], 0], side: over(first, points[LOOP_POINTS]!) }]
  if (start) named.push({ name: END_NAMES[start], at: first, side: over(first, last) })
  if (end && !(end === 'tag' && hand === points.length - 1))
    named.push({ name: END_NAMES[end], at: last, side: over(last, first) })
  else if (end) named.push(beyond(END_NAMES[end], last, endWay(points), PAST_ARROW))
  if (loop !== undefined) named.push(beyond('loop', points[loop]!, outOf(points, loop), hand === loop ? PAST_ARROW : BEYOND))
  return named
}

/** A name so far on from a place, in a direction of the picture. */
function beyond(name: string, [x, y, z]: Point, [dx, dy]: [number, number], by: number): Named {
  const length = Math.hypot(dx, dy) || 1
  const way: [number, number] = [dx / length, dy / length]
  return { name, at: [x + by * way[0], y - by * way[1], z], way }
}

/** Steeper than this a name is over or under what it names, else beside it. */
const STEEP = 0.5

function EndLabels({ strands, flip, fontSize }: { strands: readonly PicturedStrand[]; flip: number; fontSize: number }) {
  return strands.flatMap(namesOf).map((named, i) => {
    const [x, y] = named.at
    const across = 'way' in named ? named.way[0] * flip : 0
    // Centred on its line where it is beside; else clear of it.
    const down = 'way' in named ? (0.35 + 0.5 * named.way[1]) * fontSize : named.side === 1 ? -2 : 2 + 0.7 * fontSize
    return (
      <text
        key={`${named.name}.${i}`}
        x={x * flip}
        y={-y + down}
        fontSize={fontSize}
        textAnchor={across > STEEP ? 'start' : across < -STEEP ? 'end' : 'middle'}
        fill="var(--quiet)"
        stroke="var(--sheet)"
        strokeWidth={0.6}
        paintOrder="stroke"
      >
        {named.name}
      </text>
    )
  })
}

/** Where the middle of many turns is left out: how many there are. */
function LeftOut({ left, flip, fontSize }: { left: Elided['left']; flip: number; fontSize: number }) {
  if (!left) return null
  return (
    <text
      x={(left.x + left.width / 2) * flip}
      y={fontSize * 0.35}
      fontSize={fontSize}
      textAnchor="middle"
      fill="currentColor"
      stroke="var(--sheet)"
      strokeWidth={0.6}
      paintOrder="stroke"
    >
      {left.turns === undefined ? '…' : `× ${left.turns}`}
    </text>
  )
}
