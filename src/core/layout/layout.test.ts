import { describe, expect, test } from 'vitest'
import { draftOf } from '../../../tests/fixtures/drafts.ts'
import { FAMILY_FIXTURES } from '../../../tests/fixtures/families.ts'
import { braidOutfit, LB } from '../../../tests/fixtures/outfits.ts'
import { REACH_OPTIONS } from '../../../tests/fixtures/reach.ts'
import { evaluated, rigOf } from '../../../tests/fixtures/setups.ts'
import { defaultConditions } from '../documents/conditions.ts'
import { isLine } from '../documents/pieces.ts'
import { OUTFIT } from '../documents/vocabulary.ts'
import { drawInWords } from '../edit/inWords.ts'
import { emptyTrace } from '../families/emptyTrace.ts'
import type { LineShape } from '../setup/settling/lineShape.ts'
import { layOutLineView } from './lineView.ts'
import { layOutPeakChart } from './peakChart.ts'
import { layOutProfile } from './profile.ts'
import { layOutReach, type ReachLayout } from './reach.ts'

const outfit = braidOutfit(50)
const options = REACH_OPTIONS
const lanesOf = (layout: ReachLayout) => {
  const slots = layout.items.filter(({ onLine }) => !onLine)
  return [...new Set(slots.map(({ y }) => y))].map((lane) => slots.filter(({ y }) => y === lane))
}

describe.each(FAMILY_FIXTURES)('the reach of $trace.family', ({ trace }) => {
  const layout = layOutReach(trace, outfit, options)

  test('draws every part once, inside the drawing', () => {
    const ids = layout.items.map(({ id }) => id)
    expect(new Set(ids).size).toBe(ids.length)
    for (const { id } of trace.pieces) expect(ids).toContain(id)
    for (const { x0, x1, y } of layout.items) {
      expect(x0).toBeGreaterThanOrEqual(0)
      expect(x1).toBeLessThanOrEqual(layout.width + 1)
      expect(y).toBeLessThanOrEqual(layout.height)
    }
  })

  test('slots in one lane never overlap, and every label has its room', () => {
    for (const items of lanesOf(layout)) {
      const inOrder = items.toSorted((a, b) => a.x0 - b.x0)
      for (const [i, item] of inOrder.entries()) if (i > 0) expect(item.x0).toBeGreaterThanOrEqual(inOrder[i - 1]!.x1 - 0.01)
      for (const item of inOrder)
        if (item.kind !== 'reel') expect(item.x1 - item.x0).toBeGreaterThanOrEqual(options.labelWidth(item.ref))
    }
  })

  test('no drop crosses a branch', () => {
    for (const drop of layout.drops)
      for (const item of layout.items)
        if (item.y > drop.y0 && item.y < drop.y1) expect(drop.x <= item.x0 + 0.01 || drop.x >= item.x1 - 0.01).toBe(true)
  })

  test('the profile’s steps run from left to right, each path’s links in order', () => {
    const { snag } = evaluated(trace, outfit, { ...defaultConditions(), dragN: 10 * LB })
    for (const path of snag!.paths) {
      const { steps, topN } = layOutProfile(path.links, path.first, layout, {
        height: 190,
        padTop: 20,
        padBottom: 12,
        loadsN: [50],
        tickUnitN: LB,
      })
      expect(steps.map(({ id }) => id)).toEqual(path.links.map(({ id }) => id))
      for (const [i, step] of steps.entries()) {
        expect(step.x1).toBeGreaterThan(step.x0)
        const before = steps.slice(0, i).findLast(({ dip }) => !dip)
        // A knot part-way in a line is a dip within that line's step; all else follows on.
        if (step.dip) expect(step.x0 >= before!.x0 && step.x0 <= before!.x1).toBe(true)
        else if (before) expect(step.x0).toBeGreaterThanOrEqual(before.x1 - 0.01)
        expect(step.over).toBe(step.strengthN > topN)
      }
      expect(steps.filter((step) => step.weakest).length).toBeGreaterThan(0)
    }
  })

  test('the profile’s scale holds its loads with little over, and rests while one changes by small steps', () => {
    const { snag } = evaluated(trace, outfit, { ...defaultConditions(), dragN: 10 * LB })
    const { links, first } = snag!.paths[0]!
    const room = { height: 190, padTop: 20, padBottom: 12, tickUnitN: LB }
    const loads = Array.from({ length: 100 }, (_, i) => 1000 * 10 ** (i / 100))
    const tops = loads.map((loadN) => layOutProfile(links, first, layout, { ...room, loadsN: [loadN] }).topN)
    for (const [i, topN] of tops.entries()) {
      expect(topN).toBeGreaterThanOrEqual(1.02 * loads[i]!)
      expect(topN).toBeLessThan(1.3 * loads[i]!)
    }
    expect(new Set(tops).size).toBeLessThanOrEqual(11)
  })
})

test('the reach fills its width exactly where there is room, and asks for more where labels need it', () => {
  const { trace } = FAMILY_FIXTURES[0]!
  expect(layOutReach(trace, outfit, options).width).toBe(1230)
  const reached = Math.max(...layOutReach(trace, outfit, options).items.map(({ x1 }) => x1))
  expect(reached).toBeCloseTo(1230, 0)
  expect(layOutReach(trace, outfit, { ...options, width: 300 }).width).toBeGreaterThan(300)
})

test('at true scale the trace’s lines are in proportion', () => {
  const { trace } = FAMILY_FIXTURES.find((each) => each.trace.family === 'boomPaternoster')!
  const layout = layOutReach(trace, outfit, { ...options, trueScale: true })
  const widthOf = (id: string) => {
    const item = layout.items.find((each) => each.id === id)!
    return item.x1 - item.x0
  }
  const lengthOf = (id: string) => trace.pieces.filter(isLine).find((piece) => piece.id === id)!.lengthM
  expect(widthOf('leader') / widthOf('body')).toBeCloseTo(lengthOf('leader') / lengthOf('body'), 6)
  expect(widthOf('leader') * layout.metresPerUnit!).toBeCloseTo(lengthOf('leader'), 6)
})

const shapeOf = (view: LineShape['view'], points: LineShape['points']): LineShape => ({
  view,
  points,
  lineOutM: 1,
  scope: 1,
  setbackM: 1,
  angleDeg: 1,
  shares: [],
})

test('the side view is to one scale both ways, two lines from one boat on the surface to their sinkers on the bed', () => {
  const at = (s: number, x: number, z: number) => ({ s, x, z, tx: -1, tz: 2 })
  const room = { width: 400, height: 220, pad: 20 }
  const near = shapeOf('side', [at(0, 0, 0), at(22, -10, 20)])
  const deep = layOutLineView([near], 20, room)
  expect(deep.bedY - deep.surfaceY).toBeCloseTo(20 / deep.metresPerUnit, 9)
  expect(deep.sinkers[0]!.x - deep.rod.x).toBeCloseTo(10 / deep.metresPerUnit, 9)
  expect(deep.sinkers[0]!.y).toBeCloseTo(deep.bedY, 9)
  expect(deep.bedY).toBeLessThanOrEqual(room.height - room.pad + 1e-9)
  // A long setback, not the depth, decides the scale, for both.
  const two = layOutLineView([near, shapeOf('side', [at(0, 0, 0), at(210, -200, 20)])], 20, room)
  expect(two.sinkers[1]!.x - two.rod.x).toBeCloseTo(room.width - 2 * room.pad, 9)
  expect(two.sinkers[0]!.x - two.rod.x).toBeCloseTo(10 / two.metresPerUnit, 9)
  expect(two.paths[1]).toMatch(/^M[\d.]+ [\d.]+C/)
})

test('from the shore the rod tip is over the water, in the same scale', () => {
  const ashore = shapeOf('side', [
    { s: 0, x: 0, z: 0, tx: 1, tz: 0.1 },
    { s: 61, x: 60, z: 9, tx: 1, tz: 0.2 },
  ])
  const { rod, surfaceY, bedY, sinkers, metresPerUnit } = layOutLineView([ashore], 5, { width: 400, height: 120, pad: 10 })
  expect(surfaceY - rod.y).toBeCloseTo(4 / metresPerUnit, 9)
  expect(bedY - surfaceY).toBeCloseTo(5 / metresPerUnit, 9)
  expect(rod.x - sinkers[0]!.x).toBeCloseTo(60 / metresPerUnit, 9)
  expect(rod.y).toBeGreaterThanOrEqual(10 - 1e-9)
})

test('cast up-tide the sinker lies to the left; from above it lies across, the bow under the straight way; the bar is round', () => {
  const room = { width: 400, height: 220, pad: 20 }
  const uptide = layOutLineView(
    [
      shapeOf('side', [
        { s: 0, x: -40, z: 0, tx: 1, tz: 1 },
        { s: 50, x: 0, z: 20, tx: 1, tz: 1 },
      ]),
    ],
    20,
    room,
  )
  expect(uptide.sinkers[0]!.x).toBeLessThan(uptide.rod.x)
  const bow = [
    { s: 0, x: 0, z: 0, tx: 1, tz: 1 },
    { s: 52, x: 50, z: 12, tx: 1, tz: 0 },
    { s: 104, x: 100, z: 0, tx: 1, tz: -1 },
  ]
  const above = layOutLineView([shapeOf('above', bow)], 5, room)
  expect(above.sinkers[0]!.x - above.rod.x).toBeCloseTo(100 / above.metresPerUnit, 9)
  expect(above.sinkers[0]!.y).toBeCloseTo(above.rod.y, 9)
  expect(above.bedY - above.rod.y).toBeCloseTo(12 / above.metresPerUnit, 9)
  expect(above.barM).toBe(20)
})

test('the peak chart rises to the right under one scale, its ticks round in the units shown', () => {
  const points = Array.from({ length: 11 }, (_, i) => ({ lineOutM: i * 30, peakN: 60 + 5 * i, allowedN: i < 8 ? 90 : 50 }))
  const room = { width: 400, height: 168, padLeft: 34, padRight: 12, padTop: 16, padBottom: 30 }
  const rush = [1, 10, 100].map((lineOutM) => ({ lineOutM, bentN: 70, pointedN: 70 + 100 / lineOutM }))
  const chart = layOutPeakChart(points, rush, room, LB, 1)
  expect(chart.bent).toBe(
    `M${chart.xOf(1).toFixed(1)} ${chart.yOf(70).toFixed(1)}${[10, 100].map((x) => `L${chart.xOf(x).toFixed(1)} ${chart.yOf(70).toFixed(1)}`).join('')}`,
  )
  expect(chart.pointed).not.toBe(chart.bent)
  expect(chart.yOf(60)).toBeGreaterThan(chart.yOf(110))
  expect(chart.xOf(300)).toBeCloseTo(388, 9)
  for (const tick of chart.ticksN) expect(tick / LB).toBeCloseTo(Math.round(tick / LB), 9)
  expect(chart.allowed.match(/V/g)).toHaveLength(10)
})

describe('many branches alike', () => {
  const { trace } = draftOf('hookString', outfit, defaultConditions())
  const narrow = { ...options, width: 640 }
  const hooksOf = (drawn: string[]) =>
    layOutReach(trace, outfit, { ...narrow, drawn }).items.flatMap(({ id }) => (/^hook-.$/.test(id) ? [id] : []))
  const many = trace.pieces.filter(({ role }) => role === 'hook').length

  test('are drawn as one, with their number: the chosen one, or that of the chosen loop, else the first', () => {
    expect(many).toBeGreaterThanOrEqual(4)
    expect(hooksOf([])).toEqual(['hook-a'])
    expect(hooksOf(['hook-c', 'hook-a'])).toEqual(['hook-c'])
    expect(hooksOf(['loop-b'])).toEqual(['hook-b'])
    expect(layOutReach(trace, outfit, { ...narrow, drawn: [] }).folds).toMatchObject([{ count: many }])
  })

  test('are all drawn where one is unlike, where they fit beside each other, and where nobody asks for one', () => {
    const other = { ...trace, pieces: trace.pieces.map((piece) => (piece.id === 'hook-b' ? { ...piece, size: '1/0' } : piece)) }
    const kinds = layOutReach(other as typeof trace, outfit, { ...narrow, drawn: ['hook-b'] })
    expect(kinds.items.map(({ id }) => id)).toEqual(expect.arrayContaining(['hook-b', 'hook-a']))
    const wide = layOutReach(trace, outfit, { ...options, width: 1900, drawn: [] })
    expect(wide.folds).toEqual([])
    expect(lanesOf(wide)).toHaveLength(2)
    expect(layOutReach(trace, outfit, narrow).folds).toEqual([])
  })
})

test('branches of branches, sixty deep, are laid out at once', () => {
  const nothing = { ...draftOf('freeLine', outfit, defaultConditions()).trace, pieces: [] }
  const depth = 60
  const words = `${'body (swivel, '.repeat(depth)}hook${'), swivel'.repeat(depth)}`
  const drawn = drawInWords(rigOf(nothing, outfit), { at: 'end', of: OUTFIT }, words)
  expect(drawn.ok).toBe(true)
  // Trying every order would run into the time limit of the test.
  layOutReach(drawn.ok ? drawn.trace : nothing, outfit, options)
})

test('branches that do not meet share a lane', () => {
  const nothing = { ...draftOf('freeLine', outfit, defaultConditions()).trace, pieces: [] }
  const words = 'leader 25 m (whipped loop 5 m, snap, sinker line, sinker), swivel, leader 2 m, hook (sinker; bait)'
  const drawn = drawInWords(rigOf(nothing, outfit), { at: 'end', of: OUTFIT }, words)
  const layout = layOutReach(drawn.ok ? drawn.trace : nothing, outfit, options)
  const yOf = (wanted: string) => layout.items.find(({ id }) => id === wanted)!.y
  expect([yOf('sinker-line'), yOf('sinker-2')]).toEqual(Array(2).fill(options.trunkY + options.laneHeight))
})

test('a path of eighteen links is whole in 870 px: labels stand in steps, none touches another, none is cut off', () => {
  const text =
    'leader 60 lb 6 m, ball-bearing swivel, leader 50 lb 2 m, swivel, leader 40 lb 1 m, swivel, body 3 m, swivel, snood 1 m, swivel, J 8/0, whole fish'
  const drawn = drawInWords(rigOf(emptyTrace('long'), outfit), { at: 'end', of: OUTFIT }, text)
  if (!drawn.ok) throw new Error(drawn.why)
  const long = { ...options, width: 870, tierHeight: 28 }
  const layout = layOutReach(drawn.trace, outfit, long)
  expect(layout.items.filter(({ onLine }) => !onLine).length).toBeGreaterThan(18)
  expect(layout.width).toBe(870)
  expect(layOutReach(drawn.trace, outfit, { ...options, width: 870 }).width).toBeGreaterThan(870)
  const labels = layout.items.map(({ x0, x1, y, tier, ref }) => {
    const [middle, half] = [(x0 + x1) / 2, long.labelWidth(ref) / 2]
    return { step: `${y} ${tier}`, left: middle - half, right: middle + half }
  })
  expect(new Set(labels.map(({ step }) => step)).size).toBeGreaterThan(1)
  for (const one of labels) {
    expect(one.right).toBeLessThanOrEqual(870.01)
    const beside = labels.filter(({ step, left }) => step === one.step && left > one.left)
    for (const other of beside) expect(other.left).toBeGreaterThanOrEqual(one.right)
  }
})

test('a row whose labels stand in steps has room for them under the row above', () => {
  const branch = 'snood 1 m, swivel, wire 30 cm, swivel, snood 20 cm, J 8/0, whole fish'
  const text = `leader 60 lb 6 m, ball-bearing swivel, leader 50 lb 2 m, three-way swivel (${branch}; ${branch})`
  const drawn = drawInWords(rigOf(emptyTrace('branches'), outfit), { at: 'end', of: OUTFIT }, text)
  if (!drawn.ok) throw new Error(drawn.why)
  const stepped = { ...options, width: 780, tierHeight: 28 }
  const { items, drops, height } = layOutReach(drawn.trace, outfit, stepped)
  const rows = [...new Set(items.map(({ y }) => y))].sort((a, b) => a - b)
  const stepsOf = (y: number) => Math.max(...items.filter((item) => item.y === y).map(({ tier }) => tier))
  expect(rows.map(stepsOf).filter((steps) => steps > 0).length).toBeGreaterThan(1)
  expect(rows[0]).toBe(stepped.trunkY + 28 * stepsOf(rows[0]!))
  for (const [i, y] of rows.entries()) if (i > 0) expect(y - rows[i - 1]!).toBe(stepped.laneHeight + 28 * stepsOf(y))
  for (const { y0, y1 } of drops) for (const y of [y0, y1]) expect(rows).toContain(y)
  expect(height).toBeGreaterThan(rows.at(-1)!)
})
