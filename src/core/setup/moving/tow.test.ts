import { expect, test } from 'vitest'
import { outfit } from '../../../../tests/fixtures/moving.ts'
import { at, bait, hook, hw, lead, line, lure, slides, to } from '../../../../tests/fixtures/pieces.ts'
import { rigOf } from '../../../../tests/fixtures/setups.ts'
import { END_ON_SHARE } from '../../catalogue/baits.ts'
import { OWN_DESIGN } from '../../catalogue/familyIds.ts'
import { lineDiameterM } from '../../catalogue/materials.ts'
import { sinkerDragAreaM2 } from '../../catalogue/sinkers.ts'
import type { Piece, Trace } from '../../documents/trace.ts'
import { TRACE_VERSION } from '../../documents/versions.ts'
import { OUTFIT } from '../../documents/vocabulary.ts'
import { mainLine, woundM } from '../../outfits/outfitLines.ts'
import { towRows } from '../../physics/flown/trollTow.ts'
import { streamAreaM2 } from '../bodies.ts'
import { massOfKg } from '../masses.ts'
import { towOf } from './tow.ts'

/** A leader with a weight pinched on it and one that slides to its swivel, two legs below, and a weight that runs on the reel’s line. */
const pieces: Piece[] = [
  line('leader', 'leader', 'mono', 40, 2, to(OUTFIT, 'uni')),
  lead('running', 40, slides(OUTFIT, 3, 'leader')),
  lead('onMain', 15, at(OUTFIT, 2)),
  lead('early', 10, at('leader', 0.3)),
  lead('pinched', 20, at('leader', 1.2)),
  lead('loose', 12, slides('leader', 0.6)),
  hw('swivel', 'swivel', to('leader', 'uni'), '4'),
  lead('sliding', 30, slides('leader', 0.5, 'swivel')),
  line('short', 'snood', 'mono', 30, 1, to('swivel', 'uni')),
  lure('a', 15, to('short', 'uni')),
  line('long', 'snood', 'fluoro', 25, 3, to('swivel', 'uni')),
  lure('b', 25, to('long', 'uni')),
]
const trace: Trace = { formatVersion: TRACE_VERSION, name: 'two legs', family: OWN_DESIGN, pieces }
const rig = rigOf(trace, outfit)
const tow = towOf(rig)

/** Line from where it enters the water to each part, m. */
function reaches(rows: ReturnType<typeof towRows>): Record<string, number> {
  const toEnd: number[] = [0]
  for (const { hangsFrom, lengthM } of rows.lines) toEnd.push(toEnd[hangsFrom]! + lengthM)
  return Object.fromEntries(rows.bodies.map(({ id, hangsFrom }) => [id, Number(toEnd[hangsFrom]!.toFixed(9))]))
}

test('every part is as far down the line as it is drawn; what slides is at the stop it holds on', () => {
  expect(tow.traceM).toBeCloseTo(5, 9)
  expect(reaches(towRows(tow.line(30)))).toEqual({
    onMain: 25,
    running: 25,
    early: 25.3,
    pinched: 26.2,
    loose: 27,
    swivel: 27,
    sliding: 27,
    a: 28,
    b: 30,
  })
  // The trace alone at the least, and all that is wound at the most.
  expect(reaches(towRows(tow.line(1)))).toMatchObject({ onMain: 0, running: 0, early: 0.3, pinched: 1.2, loose: 2, a: 3, b: 5 })
  expect(tow.mostM).toBeCloseTo(5 + woundM(rig.catalogue, outfit), 3)
  expect(reaches(towRows(tow.line(1e6))).b).toBeCloseTo(tow.mostM, 6)
})

test('the reel’s line goes out first in, last out; the backing only when the main line is all out', () => {
  const lengths = (lineOutM: number) => tow.line(lineOutM).layers.map(({ lengthM }) => lengthM)
  const mainM = woundM(rig.catalogue, outfit) - 60
  expect(lengths(30)).toEqual([expect.closeTo(25, 9)])
  expect(lengths(5 + mainM + 20)).toEqual([expect.closeTo(mainM, 3), expect.closeTo(20, 3)])
})

test('parts weigh and drag what they are; so many times as heavy, weights grow of the same make and hardware stays', () => {
  const bodies = (times: number) => new Map(towRows(tow.line(30, times)).bodies.map((body) => [body.id, body]))
  const [once, twice] = [bodies(1), bodies(2)]
  for (const piece of pieces.filter(({ role }) => role === 'sinker' || role === 'lure' || role === 'hardware'))
    expect(once.get(piece.id)!.massKg, piece.id).toBeCloseTo(massOfKg(rig.catalogue, piece), 12)
  for (const piece of pieces)
    if (piece.role === 'sinker') expect(once.get(piece.id)!.dragAreaM2).toBe(sinkerDragAreaM2(rig.catalogue, piece))
  for (const [id, body] of once) {
    const times = id === 'swivel' ? 1 : 2
    expect(twice.get(id)!.massKg, id).toBeCloseTo(times * body.massKg, 12)
    expect(twice.get(id)!.dragAreaM2, id).toBeCloseTo(times ** (2 / 3) * body.dragAreaM2, 12)
  }
})

test('a thicker main line is thicker on the reel only; strands side by side push as one of their area', () => {
  const diameters = (rows: ReturnType<typeof towRows>) => rows.lines.map(({ diameterM }) => diameterM)
  const [thin, thick] = [diameters(towRows(tow.line(30))), diameters(towRows(tow.line(30, 1, 1.4)))]
  expect(thin[0]).toBe(lineDiameterM(rig.catalogue, mainLine(outfit)))
  expect(thick).toEqual([1.4 * thin[0]!, ...thin.slice(1)])
  const doubled = pieces.map((piece) => (piece.id === 'long' ? ({ ...piece, strands: 2 } as Piece) : piece))
  const two = towRows(towOf(rigOf({ ...trace, pieces: doubled }, outfit)).line(30))
  expect(two.lines.at(-1)!.diameterM).toBeCloseTo(Math.SQRT2 * thin.at(-1)!, 12)
})

test('a lure’s own drag area counts as it is; without a rating it has no lip', () => {
  const own = pieces.map((piece) => (piece.id === 'a' ? ({ ...piece, dragAreaM2: 7e-4 } as Piece) : piece))
  const { bodies } = towRows(towOf(rigOf({ ...trace, pieces: own }, outfit)).line(30))
  expect(bodies.find(({ id }) => id === 'a')).toMatchObject({ dragAreaM2: 7e-4, liftAreaM2: 0 })
  const rated = pieces.map((piece) => (piece.id === 'b' ? ({ ...piece, ratedDepthM: 4 } as Piece) : piece))
  const lips = towRows(towOf(rigOf({ ...trace, pieces: rated }, outfit)).line(30)).bodies
  expect(lips.filter(({ liftAreaM2 }) => liftAreaM2 > 0).map(({ id }) => id)).toEqual(['b'])
})

test('a bait trails end on; measured by its drag area it counts as it is measured', () => {
  const hooked = [
    line('leader', 'leader', 'mono', 40, 2, to(OUTFIT, 'uni')),
    hook('hook', '4/0', to('leader', 'uni')),
    bait('fish', 'halfFish', 'hook'),
  ]
  const towedWith = (more: object) => {
    const made = hooked.map((piece) => (piece.id === 'fish' ? ({ ...piece, ...more } as Piece) : piece))
    const drawn = rigOf({ ...trace, pieces: made }, outfit)
    return { drawn, body: towRows(towOf(drawn).line(30)).bodies.find(({ id }) => id === 'fish')! }
  }
  const usual = towedWith({})
  const piece = hooked[2] as Parameters<typeof streamAreaM2>[1]
  expect(usual.body.dragAreaM2).toBeCloseTo(END_ON_SHARE * streamAreaM2(usual.drawn, piece), 15)
  // A broadside that was measured does not count: it is drawn end on.
  expect(towedWith({ lengthM: 0.4, depthM: 0.2 }).body.dragAreaM2).toBe(usual.body.dragAreaM2)
  expect(towedWith({ dragAreaM2: 3e-3 }).body.dragAreaM2).toBe(3e-3)
})
