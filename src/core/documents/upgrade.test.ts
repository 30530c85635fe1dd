import { describe, expect, test } from 'vitest'
import { FAMILY_FIXTURES } from '../../../tests/fixtures/families.ts'
import { braidOutfit } from '../../../tests/fixtures/outfits.ts'
import { outfitSchema } from './outfit.ts'
import { traceSchema } from './trace.ts'
import { type Upgradable, upgrade } from './upgrade.ts'

const KINDS: Upgradable[] = ['trace', 'outfit', 'conditions', 'mark', 'ruleSet', 'gear']
const lifted = (kind: Upgradable, value: unknown) => (upgrade(kind, value) as { value: any }).value
const today = FAMILY_FIXTURES[0]!.trace
/** The same trace as the first format had it. */
const before = (more: object = {}) => {
  const { formatVersion: _, ...trace } = structuredClone(today)
  return { ...trace, formatVersion: 1, ...more }
}

test('what is of today stays as it is; of a later version its number is told; what is no document is left to its schema', () => {
  expect(lifted('trace', today)).toEqual(today)
  for (const kind of KINDS) {
    expect(upgrade(kind, { formatVersion: 99 })).toEqual({ newerVersion: 99 })
    expect(lifted(kind, {}).formatVersion, kind).toBe(
      { trace: 4, outfit: 5, conditions: 4, mark: 3, ruleSet: 2, gear: 5, settings: 2 }[kind],
    )
    for (const odd of [null, 7, 'trace', [], { formatVersion: 0 }, { formatVersion: 1.5 }, { formatVersion: '1' }])
      expect(upgrade(kind, odd)).toEqual({ value: odd })
  }
})

describe('a trace of the first format', () => {
  test('without anything that changed is today’s', () => expect(lifted('trace', before())).toEqual(today))

  test('names its fuse by reference: a joint by its end, else a piece', () => {
    expect(lifted('trace', before({ fuse: 'hook.joint' })).fuse).toEqual({ at: 'joint', id: 'hook' })
    expect(lifted('trace', before({ fuse: 'leader' })).fuse).toEqual({ at: 'piece', id: 'leader' })
  })

  test('has a joint’s own efficiency as a measurement', () => {
    const old = before() as any
    old.pieces[0].attach.joint.efficiency = 0.91
    const { own, efficiency } = lifted('trace', old).pieces[0].attach.joint
    expect([own, efficiency]).toEqual([{ efficiency: 0.91 }, undefined])
    expect(traceSchema.safeParse(lifted('trace', old)).success).toBe(true)
  })

  test.each([
    ['becomes a tag', 'winter special', ['a'], ['a', 'winter special']],
    ['that is a tag already stays one tag', 'a', ['a'], ['a']],
    ['too long for a tag is let go', 'x'.repeat(25), undefined, undefined],
    ['is let go where there are twelve tags', 'mine', Array(12).fill('t'), Array(12).fill('t')],
  ])('a family of one’s own %s', (_, family, tags, wanted) => {
    const made = lifted('trace', before({ family, ...(tags ? { tags } : {}) }))
    expect([made.family, made.tags]).toEqual(['ownDesign', wanted])
  })
})

test('an outfit’s join, a mark’s holds and a rule set’s being in force are lifted or moved', () => {
  const outfit = structuredClone(braidOutfit(50)) as any
  outfit.wound.push({
    role: 'topShot',
    material: 'mono',
    strengthN: 90,
    lengthM: 9,
    joint: { connection: 'fg', efficiency: 0.8 },
  })
  const made = lifted('outfit', { ...outfit, formatVersion: 1 })
  expect(made.wound.at(-1).joint).toEqual({ connection: 'fg', own: { efficiency: 0.8 } })
  expect(outfitSchema.safeParse(made).success).toBe(true)
  expect(lifted('mark', { name: 'a', holds: [] })).toEqual({ name: 'a', formatVersion: 3 })
  expect(lifted('ruleSet', { name: 'a', inForce: true })).toEqual({ name: 'a', formatVersion: 2 })
})
