import { describe, expect, test } from 'vitest'
import { NOMINAL_CATALOGUE } from '../../src/core/catalogue/catalogue.ts'
import { defaultConditions } from '../../src/core/documents/conditions.ts'
import { linkKey } from '../../src/core/documents/linkRef.ts'
import { FAMILIES } from '../../src/core/families/families.ts'
import * as constants from '../../src/core/math/constants.ts'
import * as thresholds from '../../src/core/moments/thresholds.ts'
import { draftOf } from '../fixtures/drafts.ts'
import { braidOutfit, LB } from '../fixtures/outfits.ts'

// Every figure that others stand on, as it was agreed. A test here that goes red says that one has changed: where that was meant,
// `npx vitest run --project unit tests/tables -u` writes the new one down, and its reason belongs in the commit.

const pinned = (source: string, values: unknown) => `${JSON.stringify({ source, values }, null, 1)}\n`

describe('nominal tables', () => {
  test.each(Object.entries(NOMINAL_CATALOGUE).filter(([name]) => name !== 'own'))('%s', async (name, table) => {
    const text = pinned('Nominal working values of the craft, before anyone measured their own.', table)
    await expect(text).toMatchFileSnapshot(`./${name}.json`)
  })

  test('constants', async () => {
    await expect(pinned('SI; densities at 10 °C in sea water where it matters.', constants)).toMatchFileSnapshot(
      './constants.json',
    )
  })

  test('thresholds of the moments', async () => {
    await expect(pinned('Margins of caution, ours; each verdict names its own.', thresholds)).toMatchFileSnapshot(
      './thresholds.json',
    )
  })
})

test('what each family is drafted as on a 50 lb braid', async () => {
  const drafts = FAMILIES.map(({ id }) => {
    const { trace, conditions } = draftOf(id, braidOutfit(50), defaultConditions())
    const pieces = trace.pieces.map(({ id: piece, role, ...more }) => {
      const line = 'strengthN' in more && more.strengthN !== undefined ? ` ${(more.strengthN / LB).toFixed(2)} lb` : ''
      const length = 'lengthM' in more && more.lengthM !== undefined ? ` ${more.lengthM.toFixed(3)} m` : ''
      const mass = 'massKg' in more && more.massKg !== undefined ? ` ${(1000 * more.massKg).toFixed(0)} g` : ''
      const place = 'atM' in more.attach ? ` at ${more.attach.atM.toFixed(3)} m` : ''
      const joint = 'joint' in more.attach && more.attach.joint ? ` by ${more.attach.joint.connection}` : ''
      return `${piece}: ${role}${line}${length}${mass}${place}${joint}`
    })
    const weak = trace.weakLink ?? (trace.fuse && linkKey(trace.fuse)) ?? 'none'
    return { family: id, drag: `${(conditions.dragN / LB).toFixed(1)} lb`, fish: `${conditions.fishMassKg} kg`, weak, pieces }
  })
  await expect(pinned('The families’ own proportions, ours.', drafts)).toMatchFileSnapshot('./drafts.json')
})
