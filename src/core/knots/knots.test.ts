import { describe, expect, test } from 'vitest'
import { sampleOf } from '../../../tests/depth.ts'
import { catalogue } from '../../../tests/fixtures/setups.ts'
import { defaultTurns } from '../catalogue/connections.ts'
import { CONNECTION_IDS } from '../catalogue/ids.ts'
import { apart, lengthOf, type Point } from './curve.ts'
import { DRAWN_KNOTS } from './drawn/drawnKnots.ts'
import { elided } from './elide.ts'
import { KNOT_FACTS, type KnotId } from './facts.ts'
import type { DrawnKnot, Picture, PicturedStrand } from './picture.ts'
import { crossingsOf, paintsOf } from './project.ts'
import { stepWords } from './stepWords.ts'

const DRAWN = Object.entries(DRAWN_KNOTS) as [KnotId, DrawnKnot][]
const CASES = DRAWN.flatMap(([id, draw]) =>
  sampleOf([7, 3, 30], 3).flatMap((turns) => [0.6, 1.8].map((other) => ({ id, turns, other, pictures: draw({ turns, other }) }))),
)
const linesOf = ({ strands }: Picture) => strands.filter(({ kind }) => kind !== 'metal')
/** Knots whose wraps are counted by the turns that are asked for. */
const hasTurns = (id: KnotId) =>
  catalogue.connections[id].turns !== undefined && id !== 'figureEightEye' && id !== 'figureEightJoin'

describe('what is known of knots', () => {
  test('every connection that is tied has its facts, and steps whose turns are filled in', () => {
    expect(Object.keys(KNOT_FACTS).toSorted()).toEqual(
      CONNECTION_IDS.filter((id) => catalogue.connections[id].joins !== 'fixture').toSorted(),
    )
    for (const id of Object.keys(KNOT_FACTS) as KnotId[]) {
      const words = stepWords(id, 5)
      expect(words.join(' '), id).not.toMatch(/[{}]/)
      const turns = defaultTurns(catalogue, id, { material: 'mono', diameterM: 0.0004 })
      if (KNOT_FACTS[id].steps.some((step) => step.includes('{turns}'))) expect(turns, id).toBeGreaterThan(0)
    }
  })

  test('at least twenty are drawn, a picture for each step', () => {
    expect(DRAWN.length).toBeGreaterThanOrEqual(20)
    for (const { id, pictures } of CASES) expect(pictures.length, id).toBe(KNOT_FACTS[id].steps.length)
  })
})

describe('the drawing of knots', () => {
  test.each(CASES)(
    '$id of $turns turns, the other line $other thick: at every crossing one lies over the other',
    ({ pictures }) => {
      const buried = pictures.flatMap((picture, step) =>
        crossingsOf(picture).flatMap(({ over, under, x, y }) => {
          const [top, low] = [picture.strands[over.strand]!, picture.strands[under.strand]!]
          // Eye and shank of a hook are one piece.
          if (top.kind === 'metal' && low.kind === 'metal') return []
          const isOver = over.z - under.z >= top.radius + low.radius - 0.06
          return isOver ? [] : [`step ${step + 1}, ${x.toFixed(1)} ${y.toFixed(1)}`]
        }),
      )
      expect(buried).toEqual([])
    },
  )

  test.each(DRAWN)('%s: no two strands lie in each other', (_, draw) => {
    for (const picture of draw({ turns: 5, other: 1.4 })) {
      const lines = linesOf(picture)
      for (const [i, a] of lines.entries())
        for (const b of lines.slice(i)) expect(nearest(a, b), `${a.id} and ${b.id}`).toBeGreaterThan(0.75 * (a.radius + b.radius))
    }
  })

  test.each(DRAWN)('%s: its ends are named and lie outside of it', (_, draw) => {
    for (const picture of draw({ turns: 5, other: 1 })) {
      const crossings = crossingsOf(picture)
      for (const { start, end, points } of linesOf(picture)) {
        expect(start && end).toBeTruthy()
        if (crossings.length === 0) continue
        const first = points[0]!
        const inside = crossings.some(({ x }) => x < first[0]) && crossings.some(({ x }) => x > first[0])
        const between = crossings.some(({ y }) => y < first[1]) && crossings.some(({ y }) => y > first[1])
        expect(inside && between).toBe(false)
      }
    }
  })

  test('the hand moves the tag, or the loop where the line is doubled or the loop is elsewhere than before', () => {
    const hands = (id: KnotId) =>
      DRAWN_KNOTS[id]!({ turns: 5, other: 1 }).map(({ strands }) => {
        const moved = strands.filter(({ hand }) => hand !== undefined)
        return moved
          .map(({ hand, loop, points }) => (hand === points.length - 1 ? 'tag' : hand === loop ? 'loop' : 'lost'))
          .join()
      })
    expect(hands('clinch')).toEqual(['tag', 'tag', 'tag', ''])
    expect(hands('surgeonsLoop')).toEqual(['', 'loop', 'loop', ''])
    expect(hands('palomar')).toEqual(['', 'loop', 'loop', ''])
    expect(hands('dropperLoop')).toEqual(['', '', '', 'loop', ''])
    expect(hands('perfectionLoop')).toEqual(['tag', 'tag', 'tag', 'loop', ''])
    for (const [id] of DRAWN) expect(hands(id).join(), id).not.toContain('lost')
  })

  test.each(DRAWN)('%s: where it has a loop, its tip is the farthest of it', (_, draw) => {
    for (const picture of draw({ turns: 5, other: 1 }))
      for (const { points, loop } of linesOf(picture)) {
        if (loop === undefined) continue
        const [before, tip, after] = [points[loop - 9]!, points[loop]!, points[loop + 9]!]
        const between = before.map((at, i) => (at + after[i]!) / 2) as unknown as Point
        // From between its sides the tip lies farther than the line is thick: there the line turns back.
        expect(apart(tip, between)).toBeGreaterThan(1)
      }
  })

  test.each(DRAWN)('%s: a step keeps what lay before, up to where it begins', (id, draw) => {
    const pictures = draw({ turns: 5, other: 1 })
    for (const [step, picture] of pictures.entries())
      for (const strand of linesOf(picture)) {
        const before = step > 0 && pictures[step - 1]!.strands.find((each) => each.id === strand.id)
        // What is crossed before it is twisted lies otherwise once it is.
        if (!before || !strand.fresh || (id === 'haywire' && step === 1)) continue
        for (let i = 0; i < strand.fresh.from; i += 1) expect(apart(before.points[i]!, strand.points[i]!), id).toBeLessThan(1e-6)
      }
    // The last is the finished knot, drawn down: nothing of it is new.
    expect(linesOf(pictures.at(-1)!).every(({ fresh }) => fresh === undefined)).toBe(true)
  })

  test.each(CASES)(
    '$id of $turns turns, the other line $other thick: a wrap goes round its core as often as it says',
    ({ pictures }) => {
      for (const { strands } of pictures)
        for (const { points, wraps } of strands)
          for (const { from, to, turns, y, z } of wraps) expect(winding(points.slice(from, to + 1), y, z)).toBeCloseTo(turns, 1)
    },
  )

  test.each(DRAWN.filter(([id]) => hasTurns(id)))('%s grows with its turns, about as the cut list says', (id, draw) => {
    const length = (turns: number) =>
      Math.max(...linesOf(draw({ turns, other: 1 }).at(-1)!).map(({ points }) => lengthOf(points)))
    const [six, ten] = [length(6), length(10)]
    expect(Number.isFinite(ten)).toBe(true)
    // Seven diameters a turn, in radii; a doubled or woven line uses several of them.
    const perTurn = (ten - six) / 4
    expect(perTurn, id).toBeGreaterThan(5)
    expect(perTurn, id).toBeLessThan(14 * 8)
  })

  test('of very many turns the middle is left out and their number said; few are drawn whole', () => {
    const draw = DRAWN_KNOTS.bimini!
    const many = elided(draw({ turns: 30, other: 1 })[2]!)
    const widthOf = ({ strands }: Picture) => {
      const xs = strands.flatMap(({ points }) => points.map(([x]) => x))
      return Math.max(...xs) - Math.min(...xs)
    }
    // Its wraps are as many as there is room for; its twists are counted.
    expect(many.left).toMatchObject({ turns: undefined })
    expect(elided(draw({ turns: 30, other: 1 })[0]!).left?.turns).toBe(30)
    expect(widthOf(many.picture)).toBeLessThan(widthOf(draw({ turns: 30, other: 1 })[2]!) - 50)
    expect(many.picture.strands.filter(({ start }) => start === 'reel')).toHaveLength(1)
    expect(elided(DRAWN_KNOTS.uni!({ turns: 5, other: 1 })[2]!).left).toBeUndefined()
  })

  test('what lies over is painted after what lies under it', () => {
    const [, , picture] = DRAWN_KNOTS.clinch!({ turns: 5, other: 1 })
    const paints = paintsOf(picture!)
    for (const { over, under } of crossingsOf(picture!)) {
      const last = (strand: number, at: number) =>
        paints.findLastIndex((paint) => !paint.halo && paint.strand === strand && paint.from <= at && at <= paint.to)
      expect(last(over.strand, over.at)).toBeGreaterThanOrEqual(last(under.strand, under.at))
    }
  })
})

/** How near two strands come, or one to itself farther along. */
function nearest(a: PicturedStrand, b: PicturedStrand): number {
  let least = Number.POSITIVE_INFINITY
  let along = 0
  const alongs = a.points.map((point, i) => {
    along += i === 0 ? 0 : apart(point, a.points[i - 1]!)
    return along
  })
  for (let i = 0; i < a.points.length; i += 2)
    for (let j = a === b ? i + 1 : 0; j < b.points.length; j += 2) {
      if (a === b && alongs[j]! - alongs[i]! < 3.6 * Math.PI * a.radius) continue
      const [p, q] = [a.points[i]!, b.points[j]!]
      least = Math.min(least, (p[0] - q[0]) ** 2 + (p[1] - q[1]) ** 2 + (p[2] - q[2]) ** 2)
    }
  return Math.sqrt(least)
}

/** How often a curve goes round an axis along x. */
function winding(points: readonly Point[], y: number, z: number): number {
  let sum = 0
  const angle = (point: Point) => Math.atan2(point[2] - z, point[1] - y)
  for (let i = 1; i < points.length; i += 1) {
    const step = angle(points[i]!) - angle(points[i - 1]!)
    sum += step - 2 * Math.PI * Math.round(step / (2 * Math.PI))
  }
  return Math.abs(sum) / (2 * Math.PI)
}
