import { expect, test } from 'vitest'
import { draftOf } from '../../../tests/fixtures/drafts.ts'
import { braidOutfit, LB } from '../../../tests/fixtures/outfits.ts'
import { setupOf } from '../../../tests/fixtures/setups.ts'
import { defaultConditions } from '../documents/conditions.ts'
import type { Pull } from '../documents/observation.ts'
import { withJoint } from '../edit/changes.ts'
import { testNext } from './testNext.ts'

const outfit = braidOutfit(50)
const { trace, conditions } = draftOf('runningLedger', outfit, defaultConditions())
const setup = setupOf(trace, outfit, conditions)

test('every connection that is tied is looked at, with the traces that it is tied in; what moves most comes first', () => {
  const shares: number[] = []
  const found = testNext({ setups: [setup, { ...setup }], pulls: [] }, (share) => shares.push(share))
  expect(found.length).toBeGreaterThan(2)
  expect(found.every(({ tiedIn }) => tiedIn === 2)).toBe(true)
  expect(found.some(({ connection, material }) => connection === 'uni' && material === 'mono')).toBe(true)
  for (const [i, { verdictsMoved, marginMoved }] of found.entries()) {
    const before = found[i - 1]
    if (before && before.verdictsMoved === verdictsMoved) expect(before.marginMoved).toBeGreaterThanOrEqual(marginMoved)
  }
  expect(found[0]!.marginMoved).toBeGreaterThan(0)
  expect(shares).toEqual(shares.toSorted((a, b) => a - b))
})

test('what was pulled often moves less than before', () => {
  const [most] = testNext({ setups: [setup], pulls: [] })
  const pulls = Array.from(
    { length: 40 },
    (_, i): Pull => ({
      formatVersion: 1,
      kind: 'pull',
      id: `10000000-0000-4000-8000-${String(i).padStart(12, '0')}`,
      at: '2026-11-20T10:00:00.000Z',
      connection: most!.connection,
      material: most!.material,
      lineN: 30 * LB,
      wet: true,
      loadN: ((most!.low + most!.high) / 2) * 30 * LB * (1 + 0.01 * ((i % 3) - 1)),
      parted: 'knot',
    }),
  )
  const same = ({ connection, material }: typeof most & object) => connection === most!.connection && material === most!.material
  const after = testNext({ setups: [setup], pulls }).find(same)!
  expect(after.high - after.low).toBeLessThan((most!.high - most!.low) / 2)
  expect(after.marginMoved).toBeLessThan(most!.marginMoved)
})

test('a joint with a figure of its own is nobody’s guess: it is not looked at', () => {
  const own = withJoint(trace, 'hook', (joint) => ({ ...joint, own: { efficiency: 0.9 } }))
  const snell = ({ connection }: { connection: string }) => connection === 'snell'
  expect(testNext({ setups: [setup], pulls: [] }).some(snell)).toBe(true)
  expect(testNext({ setups: [setupOf(own, outfit, conditions)], pulls: [] }).some(snell)).toBe(false)
  expect(testNext({ setups: [], pulls: [] })).toEqual([])
})
