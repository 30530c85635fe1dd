import { expect, test } from 'vitest'
import { verdictChanges } from './verdictChanges.ts'

test('only what changed is said, in the order of a trip', () => {
  const before = { cast: 'holds', run: 'holds', hand: 'watch' } as const
  expect(verdictChanges(before, before)).toBe('')
  expect(verdictChanges(before, { ...before, run: 'watch', cast: 'fails' })).toBe('Cast now fails, Run now watch.')
  expect(verdictChanges(before, { cast: 'holds', run: 'holds', settle: 'holds' })).toBe('Settle now holds, Hand now not judged.')
})
