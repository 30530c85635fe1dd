import { apart, type Point, type Row, type Strand } from './curve.ts'

/** What a strand is: a line, the second of two lines, or a thing it is tied to. */
export type StrandKind = 'line' | 'other' | 'metal'
/** What an end of a line is called. */
export type EndName = 'reel' | 'tag' | 'leader' | 'hook'

/** A stretch of a curve, by the places of its points. */
export type Stretch = { from: number; to: number }

/** A strand of a picture: its curve, how thick it is, what its ends are called, and what of it is new in this step. */
export type PicturedStrand = {
  id: string
  kind: StrandKind
  /** In radii of the usual line. */
  radius: number
  points: readonly Point[]
  start?: EndName
  end?: EndName
  fresh?: Stretch
  /** The point that is the tip of its loop. */
  loop?: number
  /** The point that the hand moves in this step: its tag’s end, or the tip of its loop. */
  hand?: number
  /** Helices about an axis along x: stretches of the points, and their turns. */
  wraps: readonly Row[]
}

/** A sleeve over lines: as it is bought, or pressed in its middle with both ends left flared. */
export type Sleeve = { from: number; to: number; halfHeight: number; pressed: boolean }
export type Picture = { strands: readonly PicturedStrand[]; sleeve?: Sleeve }

/** What a knot is drawn for: its turns, and how thick the second of two lines is, in radii of the first. */
export type Tied = { turns: number; other: number }
/** The pictures of a knot’s steps. */
export type DrawnKnot = (tied: Tied) => Picture[]

/** A line as it is laid for a picture. */
export type Laid = Pick<PicturedStrand, 'id' | 'kind' | 'radius' | 'start' | 'end'> & { strand: Strand }

/** A line that is tied by its tag. */
export const tagged = (strand: Strand): Laid => ({ id: 'line', kind: 'line', radius: 1, start: 'reel', end: 'tag', strand })

/** Two lines that are joined. */
export const joined = (line: Strand, second: Strand, other: number): Laid[] => [
  tagged(line),
  { id: 'other', kind: 'other', radius: other, start: 'leader', end: 'tag', strand: second },
]

/**
 * Pictures of what is tied with the ends of lines: each step shows every line up to its mark, and after them come the lines as they are
 * drawn down. Before the first mark lies what is there to begin with.
 */
export function tiedSteps(
  open: readonly Laid[],
  drawn: readonly (readonly Laid[])[],
  metal: readonly PicturedStrand[] = [],
): Picture[] {
  const marksOf = ({ strand }: Laid) => strand.marks()
  const steps = Math.max(...open.map((line) => marksOf(line).length))
  const upTo = (step: number): Picture => ({
    strands: [
      ...metal,
      ...open.map((line) => {
        const { strand, ...rest } = line
        const marks = marksOf(line)
        const points = strand.curve().slice(0, marks[Math.min(step, marks.length - 1)]! + 1)
        return { ...rest, ...loopOf(strand, points.length), points, wraps: strand.wraps.filter(({ to }) => to < points.length) }
      }),
    ],
  })
  const [begun, ...laid] = freshened(Array.from({ length: steps }, (_, i) => upTo(i)))
  return begun ? [...laid, ...drawn.map((lines) => whole(lines, metal))] : []
}

/** Pictures of a line that is moved as a whole or in its middle, each with what is new against the one before; the last drawn down. */
export function stages(
  laid: readonly (readonly Laid[])[],
  drawn: readonly Laid[],
  metal: readonly PicturedStrand[] = [],
): Picture[] {
  return [...freshened(laid.map((lines) => whole(lines, metal))), whole(drawn, metal)]
}

/** Lines as they lie, nothing of them new. */
export const whole = (lines: readonly Laid[], metal: readonly PicturedStrand[] = []): Picture => ({
  strands: [
    ...metal,
    ...lines.map(({ strand, ...line }) => {
      const points = strand.curve()
      return { ...line, ...loopOf(strand, points.length), points, wraps: strand.wraps }
    }),
  ],
})

/** The tip of a strand’s loop, where it has one and is laid so far. */
function loopOf(strand: Strand, laid: number): Pick<PicturedStrand, 'loop'> {
  const loop = strand.loopTip()
  return loop === undefined || loop >= laid - 1 ? {} : { loop }
}

/** Ends nearer than this are those of a doubled line, and a loop that moves less stays where it is; in radii. */
const BESIDE_EACH_OTHER = 6
const STAYS = 3

/** Whether the two ends of a line lie beside each other, as those of a doubled one do. */
export const isDoubled = (points: readonly Point[]): boolean => apart(points[0]!, points.at(-1)!) < BESIDE_EACH_OTHER

/** What of a line is moved: its tag where that is new, else a loop that is elsewhere than before. A doubled line is moved by its loop. */
function handOf({ points, end, loop }: PicturedStrand, fresh: Stretch, before: PicturedStrand): number | undefined {
  const last = points.length - 1
  const doubled = isDoubled(points)
  if (end === 'tag' && fresh.to === last && !doubled) return last
  if (loop === undefined || loop < fresh.from || loop > fresh.to) return undefined
  if (doubled) return loop
  const earlier = before.loop === undefined ? undefined : before.points[before.loop]
  return earlier && apart(earlier, points[loop]!) < STAYS ? undefined : loop
}

/** Nearer than this two points are the same. */
const SAME = 1e-6

/** What each picture has that the one before had not: what differs between what both begin with and what both end with. */
function freshened(pictures: readonly Picture[]): Picture[] {
  return pictures.map((picture, i) => ({
    ...picture,
    strands: picture.strands.map((strand) => {
      const earlier = pictures[i - 1]?.strands.find(({ id }) => id === strand.id)
      const before = earlier?.points
      if (!earlier || !before || strand.kind === 'metal') return strand
      const { points } = strand
      const most = Math.min(before.length, points.length)
      let head = 0
      while (head < most && apart(before[head]!, points[head]!) < SAME) head += 1
      let tail = 0
      while (tail < most - head && apart(before[before.length - 1 - tail]!, points[points.length - 1 - tail]!) < SAME) tail += 1
      const fresh = { from: Math.max(0, head - 1), to: points.length - 1 - Math.max(0, tail - 1) }
      if (fresh.from >= fresh.to) return strand
      const hand = handOf(strand, fresh, earlier)
      return { ...strand, fresh, ...(hand === undefined ? {} : { hand }) }
    }),
  }))
}

/** A ring seen from its face, about a place on the axis. */
export function ring(x: number, radius: number, wire = 1.4): PicturedStrand {
  const points = Array.from({ length: 61 }, (_, i): Point => {
    const angle = (2 * Math.PI * i) / 60
    return [x + radius * Math.cos(angle), radius * Math.sin(angle), 0]
  })
  return { id: 'eye', kind: 'metal', radius: wire, points, wraps: [] }
}

/** Between drawn down (0) and open (1). */
export const mix = (closed: number, opened: number, open: number): number => closed + (opened - closed) * open
