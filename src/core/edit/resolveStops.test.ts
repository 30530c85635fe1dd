import { expect, test } from 'vitest'
import { FAMILY_FIXTURES } from '../../../tests/fixtures/families.ts'
import { at, hw, lead, leader, slides } from '../../../tests/fixtures/pieces.ts'
import { pieceNamed } from '../documents/pieces.ts'
import type { Attach, Piece } from '../documents/trace.ts'
import { resolveStops } from './resolveStops.ts'

const stopsOf = (pieces: Piece[], id: string) => {
  const resolved = resolveStops({ ...FAMILY_FIXTURES[0]!.trace, pieces })
  return (pieceNamed(resolved, id).attach as Extract<Attach, { how: 'sliding' }>).stops
}

test('the lower stop of a slider is the nearest fixed part below it, or one at the same place', () => {
  const slider = lead('sinker', 90, slides('leader', 1, 'gone'))
  const stop = (id: string, atM: number) => hw(id, 'crimp', at('leader', atM))
  expect(stopsOf([leader(60, 2), stop('far', 1.6), stop('near', 1.2), slider], 'sinker').below).toBe('near')
  expect(stopsOf([leader(60, 2), stop('far', 1.6), stop('here', 1), slider], 'sinker').below).toBe('here')
  expect(stopsOf([leader(60, 2), stop('above', 0.5), slider], 'sinker').below).toBeUndefined()
})

test('the upper stop is the nearest fixed part above it, or one at the same place', () => {
  const slider = lead('sinker', 90, slides('leader', 1, 'low', 'gone'))
  const stop = (id: string, atM: number) => hw(id, 'crimp', at('leader', atM))
  expect(stopsOf([leader(60, 2), stop('top', 0.2), stop('mid', 0.7), stop('low', 1.5), slider], 'sinker').above).toBe('mid')
  expect(stopsOf([leader(60, 2), stop('top', 0.2), stop('here', 1), stop('low', 1.5), slider], 'sinker').above).toBe('here')
})
