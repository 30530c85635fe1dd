import { describe, expect, test } from 'vitest'
import { braidOutfit, LB } from '../../../tests/fixtures/outfits.ts'
import { catalogue, evaluated } from '../../../tests/fixtures/setups.ts'
import type { FamilyId } from '../catalogue/familyIds.ts'
import type { Conditions } from '../documents/conditions.ts'
import { defaultConditions } from '../documents/conditions.ts'
import { defaultWater } from '../documents/water.ts'
import { withMainLine } from '../outfits/outfitLines.ts'
import { draft } from './draft.ts'
import { familyOf } from './families.ts'

const outfit = braidOutfit(50)
const made = (family: FamilyId, more: Partial<Conditions> = {}, on = outfit, sinkersKg?: number[]) =>
  draft({
    family: familyOf(family)!,
    said: {},
    outfit: on,
    conditions: { ...defaultConditions(), castStyle: 'none', freeboardM: 1.5, ...more },
    catalogue,
    sinkers: sinkersKg?.map((massKg) => ({ shape: 'pear' as const, massKg })),
  })
const settled = ({ trace, conditions }: ReturnType<typeof made>, on = outfit) => evaluated(trace, on, conditions).settle!

describe('a draft of what moves', () => {
  test.each([
    ['tandemTroll', 'trolled', {}],
    ['castingLeader', 'trolled', {}],
    ['castingLeader', 'retrieved', { castStyle: 'overhead' }],
    ['straightLure', 'retrieved', { castStyle: 'lob' }],
    ['kiteBait', 'kite', {}],
  ] as const)('%s is %s, and does what it is for', (family, way, more) => {
    const drafted = made(family, more)
    expect(drafted.conditions.moving?.way).toBe(way)
    expect(settled(drafted)).toMatchObject({ verdict: 'holds', moved: { way } })
  })

  test('in the water that it is made for: its depth, and a depth that the trace gets to', () => {
    const water = { ...defaultWater(catalogue, 'drift'), depthM: 40 }
    const drafted = made('tandemTroll', { water })
    expect(drafted.conditions.moving).toMatchObject({ way: 'trolled', waterM: 40 })
    expect(settled(drafted).verdict).toBe('holds')
    const ashore = made('castingLeader', { castStyle: 'overhead', water: { ...defaultWater(catalogue, 'shore'), depthM: 2 } })
    expect(ashore.conditions.moving).toMatchObject({ way: 'retrieved', waterM: 2, nearWaterM: 2 })
  })

  test('the lead under a kite is the lightest of the box that gusts leave in the water, more on a thick line', () => {
    const thick = withMainLine(outfit, { material: 'mono', strengthN: 40 * LB })
    const leadKg = (drafted: ReturnType<typeof made>) =>
      drafted.trace.pieces.reduce((sum, piece) => sum + (piece.role === 'sinker' ? piece.massKg : 0), 0)
    expect(leadKg(made('kiteBait', {}, thick, [0.2, 0.06, 0.03, 0.01]))).toBe(0.03)
    expect(leadKg(made('kiteBait', {}, thick))).toBeGreaterThan(leadKg(made('kiteBait')))
    expect(settled(made('kiteBait', {}, thick), thick).verdict).toBe('holds')
  })

  test('a family that does not move is not made to; how someone moves it stands', () => {
    expect(made('runningLedger').conditions.moving).toBeUndefined()
    const wanted = {
      way: 'kite',
      windMperS: 9,
      slack: 1.05,
      ringFriction: 0.2,
      baits: [{ name: 'one', ringHeightM: 20, ringDistanceM: 40 }],
    } as const
    expect(made('kiteBait', { moving: { ...wanted, baits: [...wanted.baits] } }).conditions.moving).toMatchObject(wanted)
  })
})
