import { expect, test } from 'vitest'
import { sampleOf } from '../../../tests/depth.ts'
import { draftOf } from '../../../tests/fixtures/drafts.ts'
import { manySnoods } from '../../../tests/fixtures/longTraces.ts'
import { braidOutfit } from '../../../tests/fixtures/outfits.ts'
import { catalogue, evaluated } from '../../../tests/fixtures/setups.ts'
import { calculate } from '../calculations/registry.ts'
import type { FamilyId } from '../catalogue/familyIds.ts'
import { defaultConditions } from '../documents/conditions.ts'
import { linkKey } from '../documents/linkRef.ts'
import { usualMoving } from '../documents/moving.ts'

import { withFields } from '../edit/changes.ts'
import { FAMILIES } from '../families/families.ts'
import type { MomentName } from '../moments/moments.ts'
import type { Towed } from '../physics/flown/towed.ts'
import { type DerivationStep, derivationOf } from './derivation.ts'

const outfit = braidOutfit(50)
const setup = (id: FamilyId) => ({ ...draftOf(id, outfit, defaultConditions()), outfit, catalogue })
const MOMENTS: readonly MomentName[] = ['cast', 'run', 'snag', 'hand']

test.each(sampleOf(FAMILIES, 3))(
  '$name: every step is a registered calculation on an input it takes, and gives just that output',
  ({ id }) => {
    for (const moment of MOMENTS)
      for (const { calculation, input, output } of derivationOf(setup(id), moment)) {
        const again = calculate(calculation, input)
        expect(again.ok && again.output, calculation).toEqual(output)
      }
  },
)

test('the last figure of a derivation is the one on the surface', () => {
  const content = setup('runningLedger')
  const { cast, run, snag, hand } = evaluated(content.trace, content.outfit, content.conditions)
  const output = <T>(steps: DerivationStep[], name: string) => steps.find(({ calculation }) => calculation === name)!.output as T
  const ofRun = derivationOf(content, 'run')
  expect(output<{ ceilingN: number }>(ofRun, 'strength.drag').ceilingN).toBe(run!.figure.value)
  expect(output<{ survival: number }>(ofRun, 'strength.failure').survival).toBeCloseTo(run!.paths[0]!.survival, 4)
  const ofCast = derivationOf(content, 'cast')
  expect(output<{ peakN: number }>(ofCast, 'cast.load').peakN).toBe(cast!.peakN)
  const { strengthN } = output<{ weakest: { strengthN: number } }>(ofCast, 'strength.chain').weakest
  expect(strengthN / cast!.peakN).toBeCloseTo(cast!.figure.value, 12)
  const inAirM = output<{ rangeM: number }>(ofCast, 'cast.range').rangeM
  expect(cast!.rangeM).toEqual({ least: 5 * Math.round((0.75 * inAirM) / 5), most: 5 * Math.round((0.9 * inAirM) / 5) })
  const ofSnag = output<{ first: { id: string; probability: number }[] }>(derivationOf(content, 'snag'), 'strength.failure').first
  const path = snag!.paths.find(({ end }) => end === snag!.end)!
  // From tables on the surface, cell by cell in what is read out.
  for (const [i, { id }] of path.links.entries()) {
    const sides = ofSnag.filter((each) => each.id === id || each.id === `${id}, other line`)
    expect(sides.reduce((sum, { probability }) => sum + probability, 0)).toBeCloseTo(path.first[i]!, 4)
  }
  const held = output<{ links: { id: string; strengthN: number }[] }>(derivationOf(content, 'hand'), 'strength.chain').links
  expect(held.find(({ id }) => id === linkKey(hand!.decides))!.strengthN).toBe(hand!.deciding.weakest.strengthN)
})

test.each([
  ['tandemTroll', 'trolled'],
  ['castingLeader', 'retrieved'],
] as const)('%s, %s: what is read out swims where the surface says', (family, way) => {
  const drawn = setup(family)
  const content = { ...drawn, conditions: { ...drawn.conditions, moving: usualMoving(way) } }
  const tow = derivationOf(content, 'settle').find(({ calculation }) => calculation === 'troll.tow')!
  const again = calculate('troll.tow', tow.input)
  expect(again.ok && again.output).toEqual(tow.output)
  const deepestM = Math.max(...(tow.output as Towed).places.map(({ depthM }) => depthM))
  const { moved } = evaluated(content.trace, outfit, content.conditions).settle!
  const surfaceM = moved && 'depthM' in moved ? moved.depthM : moved && 'points' in moved ? moved.points[0]!.depthM : Number.NaN
  // The surface follows its line less closely.
  expect(Math.abs(deepestM / surfaceM - 1)).toBeLessThan(0.01)
})

test('where no lip takes a lure to its rating the reading out says no more than is known', () => {
  const drawn = setup('straightLure')
  const trace = withFields(drawn.trace, 'lure', { ratedDepthM: 45, ratedLineOutM: 40 })
  const conditions = { ...drawn.conditions, moving: usualMoving('trolled') }
  expect(derivationOf({ ...drawn, trace, conditions }, 'settle')).toEqual([])
})

test('the lines on the spool are said to be nominal as long as a diameter is not given', () => {
  const given = setup('runningLedger')
  const wound = given.outfit.wound.map((line, i) => ({ ...line, diameterM: 0.0003 + 0.0001 * i }))
  const sourceOn = (on: typeof wound) =>
    derivationOf({ ...given, outfit: { ...given.outfit, wound: on } }, 'run').find(
      ({ calculation }) => calculation === 'spool.fill',
    )!.from
  expect(sourceOn(wound)).toEqual({})
  expect(sourceOn(wound.with(0, given.outfit.wound[0] as (typeof wound)[0]))).toEqual({ layers: 'nominal' })
})

test('a cast of more links than a chain may have is derived from those nearest to giving', () => {
  const many = { trace: manySnoods(198), outfit, conditions: defaultConditions(), catalogue }
  const hung = { how: 'joined' as const, to: 'leader', joint: { connection: 'uni' as const } }
  const trace = {
    ...many.trace,
    pieces: [...many.trace.pieces, { id: 'sinker', role: 'sinker' as const, shape: 'bomb' as const, massKg: 0.15, attach: hung }],
  }
  const cast = evaluated(trace, outfit, many.conditions).cast!
  expect(cast.links.length).toBeGreaterThan(60)
  const chain = derivationOf({ ...many, trace }, 'cast').find(({ calculation }) => calculation === 'strength.chain')!
  const { weakest } = chain.output as { weakest: { strengthN: number } }
  expect(weakest.strengthN / cast.peakN).toBeCloseTo(cast.figure.value, 12)
})
