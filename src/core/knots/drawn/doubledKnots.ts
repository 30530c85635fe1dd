import { type Point, Strand } from '../curve.ts'
import { BESIDE, beside, sidesOf, sparse } from '../doubled.ts'
import { type DrawnKnot, type Laid, mix, ring, stages, tagged } from '../picture.ts'

/** Of a doubled line only every fourth point is kept: its strands are smoothed again. */
const EVERY = 4

/** A line doubled along a middle, its loop at the far end: out on one side, round, and back on the other. */
function doubledLine(middle: Strand, loop: Point[] = []): Strand {
  const along = sparse(middle.curve(), EVERY)
  const tip = Math.ceil(loop.length / 2)
  return new Strand()
    .to(...beside(along, BESIDE), ...loop.slice(0, tip))
    .loop()
    .to(...loop.slice(tip), ...beside(along, -BESIDE).toReversed())
}

const BIG_EYE = ring(0, 9, 1.5)

/** The middle of a doubled line through a ring and back, with an overhand knot behind it as far as the stage has come. */
function palomarMiddle(stage: 'through' | 'knotted', scale: number): Strand {
  const at = (x: number, y: number, z: number): Point => [-9 + (x + 9) * scale, y * scale, z]
  const middle = new Strand()
    .to([-74, 0, 0], [-58, 0, 0], at(-46, 0, -0.6), at(-38, 0, -1.8), at(-29.5, 0.2, 1.8), at(-20, 1.6, 1.4), at(-13, 3, 2.4))
    .to([-9, 3, 3.3], [-5.4, 2.2, 1.8], [-3.6, -0.6, 0], [-5.4, -3.4, -2.2], [-9, -4.4, -3.4])
    .to(at(-14, -6, -2.4), at(-21, -7.8, -1.8), at(-29, -8.4, -0.4))
  if (stage === 'through') return middle
  return middle
    .to(at(-36, -6, 1.6), at(-38.6, 0, 2.6), at(-37, 6.4, 1.6), at(-32.6, 8.6, 0), at(-29, 5, -1.8), at(-28, 0.6, -2.6))
    .to(at(-26, -4.4, -0.6), at(-22.6, -8.4, 2.6), at(-18.6, -14, 2))
}

function palomar(stage: 'through' | 'knotted' | 'over', scale: number): Strand {
  const middle = palomarMiddle(stage === 'through' ? stage : 'knotted', scale)
  const [x, y, z] = middle.curve().at(-1)!
  if (stage === 'through') return doubledLine(middle, [[x - 2.4, y, z]])
  const at = (x: number, y: number, z: number): Point => [-9 + (x + 9) * scale, y * scale, z]
  if (stage === 'knotted')
    return doubledLine(middle, [at(-13, -20, 2), at(-4, -24, 1), at(-2, -28, 0), at(-8, -28, 0), at(-16, -21, 1.4)])
  return doubledLine(middle, [
    at(-15.6, -10, 4.4),
    at(-14.4, -4, 5.6),
    at(-14.4, 3, 5.6),
    at(-14.6, 7.6, 3),
    at(-13.4, 9.6, 0),
    at(-12.2, 7.4, -3),
    at(-12, 2, -4.6),
    at(-12.4, -5, -5.4),
    at(-14, -10.6, -3),
    at(-17.4, -15.4, 0.4),
  ])
}

export const palomarDrawn: DrawnKnot = () => {
  const open = (['through', 'knotted', 'over'] as const).map((stage) => [tagged(palomar(stage, 1))])
  return stages(open, [tagged(palomar('over', 0.95))], [BIG_EYE])
}

/**
 * The middle of two strands with an overhand knot in both, passed through so many times; without any, they lie straight.
 * @param girth how thick the two are, in those of two usual lines.
 */
function overhand(passes: number, scale: number, girth = 1): Strand {
  const pitch = 5.6
  const at = (x: number, y: number, z: number): Point => [x * scale * girth, y * scale * girth, z * girth]
  const wide = 12 + pitch * passes
  const from = -wide + 9
  const begin = -(wide + 6) * scale * girth
  const middle = new Strand().to([begin - 36, 0, 0], [begin - 18, 0, 0])
  if (passes === 0) return middle.to([begin, 0, 0], [0, 0, 0], [30, 0, 0])
  const lap = START / (2 * Math.PI)
  return middle
    .to(at(-wide - 2, 0, 0), at(-wide + 6, 0, 0), at(-6, 0, 0), at(1, 1, -0.8), at(6, 5, -2), at(5, 10.6, -1), at(-1, 13.6, 0))
    .to(at(-wide + 8, 13.8, 0), at(-wide, 12.4, 1.4), at(from - 4.4, 8, 3))
    .wrap({
      from: from * scale * girth,
      to: (from + pitch * passes) * scale * girth,
      turns: passes - 2 * lap,
      radius: 4.5 * girth,
      start: START,
    })
    .to(
      at(from + pitch * passes + 2, 5.4, -2.2),
      at(from + pitch * passes + 5.4, 6.4, 0.6),
      at(5.6, 6, 2.4),
      at(13, 5, 1),
      at(24, 4, 0),
      at(40, 4, 0),
    )
}
/** Two strands enter and leave their wraps so far round from the top, where they run up and down. */
const START = Math.PI / 3

/** The loop at the end of a doubled line that runs to the right: open, from its one strand to the other. */
function openLoop(middle: Strand): Point[] {
  const along = sparse(middle.curve(), EVERY)
  const [x, y] = along.at(-1)!
  const up = sidesOf(along).at(-1)![1] < 0 ? -1 : 1
  return [
    [x + 5, y + 3 * up, 0],
    [x + 14, y + 4.6 * up, 0],
    [x + 22, y + 2 * up, 0],
    [x + 23, y - 2 * up, 0],
    [x + 14, y - 4.6 * up, 0],
    [x + 5, y - 3 * up, 0],
  ]
}

const DRAWN = 0.8

export const surgeonsLoopDrawn: DrawnKnot = ({ turns }) => {
  const loop = (passes: number, scale: number) => {
    const middle = overhand(passes, scale)
    return [tagged(doubledLine(middle, openLoop(middle)))]
  }
  return stages([loop(0, 1), loop(1, 1), loop(turns, 1)], loop(turns, DRAWN))
}

/** Two lines along one middle, their tags apart. */
function together(middle: Strand, other: number): Laid[] {
  const along = sparse(middle.curve(), EVERY)
  const apart = (1 + other) * 0.54
  return [
    {
      id: 'line',
      kind: 'line',
      radius: 1,
      start: 'reel',
      end: 'tag',
      strand: new Strand().to(...beside(along, apart).slice(0, -2)),
    },
    {
      id: 'other',
      kind: 'other',
      radius: other,
      start: 'tag',
      end: 'leader',
      strand: new Strand().to(...beside(along, -apart).slice(3)),
    },
  ]
}

export const surgeonsJoinDrawn: DrawnKnot = ({ turns, other }) => {
  const drawn = (passes: number, scale: number) => together(overhand(passes, scale, Math.max(1, other)), other)
  return stages([drawn(0, 1), drawn(1, 1), drawn(turns, 1)], drawn(turns, DRAWN))
}

/** Two strands turned back over themselves, round behind, and down through the loop. */
function eight(stage: 'laid' | 'round' | 'through', scale: number, girth: number): Strand {
  const at = (x: number, y: number, z: number): Point => [x * scale * girth, y * scale * girth, z * girth]
  const middle = new Strand().to(at(-78, 0, 0), at(-50, 0, 0))
  if (stage === 'laid') return middle.to([-20, 0, 0], [0, 0, 0], [24, 0, 0])
  middle
    .to(at(-32, 0, 0.6), at(-24, 0, 2), at(-16, 0, 0), at(-8, 0, -2.2), at(0, 0, 0), at(7, 0.6, 2), at(14, 2, 0))
    .to(at(19, 6, -0.6), at(17, 12, -1.2), at(9, 14, -2), at(1, 9, 0), at(-7, 1, 2.8), at(-14, -6, 1), at(-20, -8, 0))
    .to(at(-25, -5, -1.6), at(-25, 1, -2.4), at(-21, 8, -1))
  if (stage === 'round') return middle
  return middle.to(
    at(-12, 14, 1),
    at(-3, 17, 2),
    at(6, 13.4, 2.6),
    at(8.4, 7, 0.4),
    at(8.4, 0.6, -2.6),
    at(13, -6, -1),
    at(24, -9, 0),
    at(38, -9, 0),
  )
}
export const figureEightJoinDrawn: DrawnKnot = ({ other }) => {
  const drawn = (stage: 'laid' | 'round' | 'through', scale: number) => together(eight(stage, scale, Math.max(1, other)), other)
  return stages([drawn('laid', 1), drawn('round', 1), drawn('through', 1)], drawn('through', DRAWN))
}

/** A loop of the doubled line laid back along itself, wraps round both, and the double’s end out through the loop. */
function spider(turns: number, open: number, stage: 'looped' | 'wrapped' | 'through'): Strand {
  const pitch = mix(4.4, 6.4, open)
  const [left, right] = [-pitch * turns, 0]
  const bend = right + mix(8, 16, open)
  const wide = mix(2.6, 5, open)
  const middle = new Strand()
    .to(
      [left - 44, 2.3, 0],
      [left - 28, 2.3, 0],
      [left - 10, 2.3, 0],
      [right - 6, 2.3, 0],
      [right + 1, 2.3, 0],
      [bend - 5, wide + 0.6, 0],
      [bend, wide - 1.6, 0],
    )
    .to(
      [bend + 0.6, -wide + 1.6, 0],
      [bend - 5, -wide - 0.6, 0],
      [right + 1, -2.3, 0],
      [right - 6, -2.3, 0],
      [left - 1, -2.3, 0],
      [left - 5, -2.3, 0],
    )
  if (stage === 'looped') return middle.to([left - 12, -4, 0], [left - 16, -9, 0])
  middle.to([left - 10, -3.4, 0], [left - 13, -7.4, 0], [left - 10, -11, -0.6], [left - 5, -10, -2.4], [left - 1.6, -6.4, -4.6])
  middle.wrap({ from: left, to: right, turns: turns - START / Math.PI, radius: 6, start: Math.PI + START })
  if (stage === 'wrapped') return middle.to([right + 1.4, -7.4, 4], [right + 4, -11, 2.4], [right + 7, -15, 1.6])
  return middle.to(
    [right + 5, -7, 3],
    [bend - 5.4, -wide, 4],
    [bend - 4.6, 0, 0],
    [bend - 4, wide + 1, -4.2],
    [bend + 2, wide + 5, -2],
    [bend + 12, wide + 6, 0],
  )
}
export const spiderHitchDrawn: DrawnKnot = ({ turns }) => {
  const drawn = (open: number, stage: 'looped' | 'wrapped' | 'through') => {
    const middle = spider(turns, open, stage)
    const [x, y] = middle.curve().at(-1)!
    return [tagged(doubledLine(middle, stage === 'through' ? openLoop(middle) : [[x - 1, y - 3, 0]]))]
  }
  return stages([drawn(1, 'looped'), drawn(1, 'wrapped'), drawn(1, 'through')], drawn(0.5, 'through'))
}

/** A doubled line twisted; its tag rolled back over the twists, hitched round one leg and round both. */
function bimini(turns: number, stage: 'twisted' | 'pressed' | 'rolled' | 'hitched' | 'locked'): Strand {
  const pitch = stage === 'twisted' ? 6 : 4.4
  const [left, right] = [-pitch * turns, 0]
  const legs = 2.5
  const strand = new Strand()
    .to([left - 24, 0, 0], [left - 15, 0, 0], [left - 8, 0.2, 0])
    .wrap({ from: left, to: right, turns, radius: 1.06 })
    .to(
      [right + 4, legs, 0],
      [right + 16, legs, 0],
      [right + 30, legs, 0],
      [right + 38, 7, 0],
      [right + 48, 5, 0],
      [right + 51, 0, 0],
    )
    .loop()
    .to([right + 48, -5, 0], [right + 38, -7, 0], [right + 30, -legs, 0], [right + 16, -legs, 0], [right + 4, -legs, 0])
    .wrap({ from: right, to: left, turns, radius: 1.06, start: Math.PI, hand: -1 })
  if (stage === 'twisted' || stage === 'pressed') {
    const down = stage === 'twisted' ? 4 : 12
    return strand.to([left - 7, -2, 0], [left - 12, -down, 0], [left - 18, -down - 5, 0])
  }
  const wraps = Math.max(1, Math.round((right - left) / 2.15))
  strand
    .to([left - 2.6, -2.6, -1.4], [left - 1.6, -3.2, -1])
    .wrap({ from: left, to: right, turns: wraps, radius: 3.3, start: Math.PI, counted: false })
  if (stage === 'rolled') return strand.to([right + 2.6, -6, 1], [right + 5, -11, 1])
  const hitches = stage === 'hitched' ? 1 : 4
  return strand
    .to([right + 3.6, -5.4, 0.6])
    .wrap({ from: right + 6, to: right + 9, turns: 1, y: -legs, radius: 2.3, start: Math.PI })
    .to([right + 11, -6.4, 0.4])
    .wrap({ from: right + 14, to: right + 14 + 2.6 * hitches, turns: hitches, radius: legs + 2.3, start: Math.PI })
    .to([right + 16 + 2.6 * hitches, -8, 1], [right + 19 + 2.6 * hitches, -13, 1])
}
export const biminiDrawn: DrawnKnot = ({ turns }) =>
  stages(
    (['twisted', 'pressed', 'rolled', 'hitched'] as const).map((stage) => [tagged(bimini(turns, stage))]),
    [tagged(bimini(turns, 'locked'))],
  )

/** Two loops: the bar of the one at nought, the other laid over it and wound round it, so many times on either side. */
function catsPaw(turns: number, open: number, laidOver: boolean, other: number): Laid[] {
  const radius = 1 + other * 1.12 + 0.1
  const pitch = mix(2.15, 3.4, open) * other
  const far = laidOver ? 6 : pitch * turns + 2.6
  const legs = far + mix(6, 9, open)
  const bar = new Strand().to(
    [-legs * 0.6, 40, 0],
    [-legs, 22, 0],
    [-legs, 8, 0],
    [-legs + 3, 1.4, 0],
    [-legs + 7, 0, 0],
    [0, 0, 0],
  )
  bar.to([legs - 7, 0, 0], [legs - 3, 1.4, 0], [legs, 8, 0], [legs, 22, 0], [legs * 0.6, 40, 0])
  const wound = new Strand()
  if (laidOver)
    wound.to(
      [-3, -40, 0],
      [-5, -22, 0],
      [-6, -8, radius + 0.3],
      [-5.4, 2, radius + 0.8],
      [-2.6, 8, 1],
      [2.6, 8, 1],
      [5.4, 2, radius + 0.8],
      [6, -8, radius + 0.3],
      [5, -22, 0],
      [3, -40, 0],
    )
  else
    wound
      .to([-3, -40, 0], [-far - 1, -22, -1], [-far - 0.4, -9, -2])
      .wrap({ from: -far, to: -2.6, turns, radius, start: Math.PI })
      .to([0, -radius - 0.2, 0.4])
      .wrap({ from: 2.6, to: far, turns, radius, start: Math.PI, hand: -1 })
      .to([far + 0.4, -9, -2], [far + 1, -22, -1], [3, -40, 0])
  return [
    { id: 'line', kind: 'line', radius: 1, start: 'reel', end: 'reel', strand: bar },
    { id: 'other', kind: 'other', radius: other, start: 'leader', end: 'leader', strand: wound },
  ]
}
export const catsPawDrawn: DrawnKnot = ({ turns, other }) =>
  stages([catsPaw(turns, 1, true, other), catsPaw(turns, 1, false, other)], catsPaw(turns, 0, false, other))
