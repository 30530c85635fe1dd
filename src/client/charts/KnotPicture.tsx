import { useId } from 'react'
import type { Point } from '../../core/knots/curve.ts'
import { type Elided, elided } from '../../core/knots/elide.ts'
import type { EndName, Picture, PicturedStrand, Sleeve } from '../../core/knots/picture.ts'
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
  const points = pictures.flatMap((picture) => elided(picture).picture.strands.flatMap((strand) => strand.points))
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

/** How much of a line from its tag on is hatched, in points of its curve. */
const TAG_POINTS = 40

function StrandPiece({ strand, paint, hatch }: { strand: PicturedStrand; paint: Paint; hatch: string }) {
  const { points, radius, kind, fresh, start, end } = strand
  const path = (from: number, to: number) => pathOf(stretch(points, Math.max(paint.from, from), Math.min(paint.to, to)))
  const own = pathOf(stretch(points, paint.from, paint.to))
  const width = 2 * radius
  if (paint.halo) return <path d={own} fill="none" stroke="var(--sheet)" strokeWidth={width + 2 * HALO} />
  const whole = paint.from === 0 && paint.to === points.length - 1
  const cap = whole ? 'round' : 'butt'
  const inner = width - 2 * OUTLINE
  const meets = (from: number, to: number) => paint.from < to && paint.to > from
  const tagFrom = end === 'tag' ? Math.max(0, points.length - 1 - TAG_POINTS) : undefined
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
      {start === 'tag' && meets(0, TAG_POINTS) && (
        <path d={path(0, TAG_POINTS)} stroke={hatch} strokeWidth={inner} strokeLinecap={cap} />
      )}
    </g>
  )
}

/** Where the hand goes: an arrow on from an end that was moved in this step. */
function Hand({ strand: { points, fresh, end } }: { strand: PicturedStrand }) {
  const [tip, before] = [points.at(-1), points.at(-10)]
  if (end !== 'tag' || fresh?.to !== points.length - 1 || !tip || !before) return null
  const [dx, dy] = [tip[0] - before[0], before[1] - tip[1]]
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

/** The names of the ends, beyond them. */
function EndLabels({ strands, flip, fontSize }: { strands: readonly PicturedStrand[]; flip: number; fontSize: number }) {
  const ends = strands.flatMap(({ points, start, end }) => [
    ...(start ? [{ name: start, at: points[0]! }] : []),
    ...(end ? [{ name: end, at: points.at(-1)! }] : []),
  ])
  return ends.map(({ name, at: [x, y] }, i) => (
    <text
      key={`${name}.${i}`}
      x={x * flip}
      y={-y - (y >= 0 ? 2 : -2 - 0.7 * fontSize)}
      fontSize={fontSize}
      textAnchor="middle"
      fill="var(--quiet)"
      stroke="var(--sheet)"
      strokeWidth={0.6}
      paintOrder="stroke"
    >
      {END_NAMES[name]}
    </text>
  ))
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
