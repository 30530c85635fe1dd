import { expect, test } from 'vitest'
import { braidOutfit, LB } from '../../../tests/fixtures/outfits.ts'
import { catalogue } from '../../../tests/fixtures/setups.ts'
import { coloursIn, lastMark, lengthWays, NOMINAL_ARM_M, turnsIn } from './lengthWays.ts'
import { linePerTurnM, withMainLine, woundM } from './outfitLines.ts'

const outfit = braidOutfit(50)
const counts = (lengthM: number, own: object = {}, on = outfit) =>
  Object.fromEntries(lengthWays(catalogue, on, lengthM, own).map(({ way, count }) => [way, count]))

test('a length is counted in fathoms, rods, arms and boats; a boat that was never measured is left out', () => {
  const told = counts(18.288, { boatM: 6.096 })
  expect(told.fathoms).toBeCloseTo(10, 12)
  expect(told.boats).toBeCloseTo(3, 12)
  expect(told.rods).toBeCloseTo(18.288 / outfit.rod.lengthM, 12)
  expect(told.arms).toBeCloseTo(18.288 / NOMINAL_ARM_M, 12)
  expect(counts(18.288, { armM: 0.9144 }).arms).toBeCloseTo(20, 12)
  expect(Object.keys(counts(18.288))).toEqual(['fathoms', 'turns', 'rods', 'arms'])
})

test('six colours and a half of a line that changes every ten metres, from where that line begins', () => {
  const coloured = withMainLine(outfit, { colourEveryM: 10 })
  expect(coloursIn(catalogue, coloured, 65)).toBeCloseTo(6.5, 12)
  const topShot = { role: 'topShot', material: 'mono', strengthN: 60 * LB, lengthM: 12, joint: { connection: 'fg' } } as const
  expect(coloursIn(catalogue, { ...coloured, wound: [...coloured.wound, topShot] }, 65)).toBeCloseTo(5.3, 12)
  expect(coloursIn(catalogue, outfit, 65)).toBeUndefined()
})

test('turns of the handle lie between those of the full spool and of that with the line out, and add up', () => {
  const perTurn = (lineOutM: number) => linePerTurnM(catalogue, outfit, lineOutM)
  const turns = turnsIn(catalogue, outfit, 100)!
  expect(turns).toBeGreaterThan(100 / perTurn(0))
  expect(turns).toBeLessThan(100 / perTurn(100))
  expect(turnsIn(catalogue, outfit, woundM(catalogue, outfit) + 1)).toBeUndefined()
  const geared = { ...outfit, reel: { ...outfit.reel, gearRatio: 10 } }
  const other = { ...outfit, reel: { ...outfit.reel, gearRatio: 5 } }
  expect(turnsIn(catalogue, other, 50)! / turnsIn(catalogue, geared, 50)!).toBeCloseTo(2, 9)
})

test('the last mark that is out, counted through a top shot; none before the first', () => {
  const marked = withMainLine(outfit, { marksM: [10, 30, 60] })
  expect(lastMark(marked, 32)).toEqual({ atM: 30, beyondM: 2 })
  expect(lastMark(marked, 9)).toBeUndefined()
  const topShot = { role: 'topShot', material: 'mono', strengthN: 60 * LB, lengthM: 12, joint: { connection: 'fg' } } as const
  expect(lastMark({ ...marked, wound: [...marked.wound, topShot] }, 23)).toEqual({ atM: 22, beyondM: 1 })
})
