import { expect, test } from 'vitest'
import { draftOf } from '../../../tests/fixtures/drafts.ts'
import { braidOutfit, LB } from '../../../tests/fixtures/outfits.ts'
import { setupOf } from '../../../tests/fixtures/setups.ts'
import { defaultConditions } from '../documents/conditions.ts'
import type { Outfit } from '../documents/outfit.ts'
import { strikesOf, strikeWords } from './strike.ts'

test('a circle is never struck; any other by what is on it, the line out and the wire', () => {
  const mono = (outM: number, opensAt?: number) => strikeWords('j', false, { material: 'mono', outM, opensAt })
  expect(strikeWords('heavyCircle', false, { material: 'braid', outM: 80 })).toMatch(/^Do not strike/)
  expect(strikeWords('circle', true, { material: 'mono', outM: 80, opensAt: 1.1 })).not.toMatch(/sweep|jerk/)
  expect(mono(80)).toMatch(/lift firmly once\. This much line stretches/)
  expect(mono(10)).toMatch(/short lift is enough/)
  expect(strikeWords('j', true, { material: 'braid', outM: 80 })).toMatch(/time to turn the bait.*Braid does not stretch/)
  expect(mono(80, 1.5)).toMatch(/Lift, do not jerk/)
  expect(strikeWords('treble', false)).toMatch(/^Lift quickly/)
})

test('of a trace each way is said once, through its outfit’s main line', () => {
  const braid = braidOutfit(50)
  const mono: Outfit = { ...braid, wound: [{ role: 'main', material: 'mono', strengthN: 20 * LB }] }
  const { trace, conditions } = draftOf('captiveSinker', braid, defaultConditions())
  expect(strikesOf(setupOf(trace, braid, conditions))).toHaveLength(1)
  expect(strikesOf(setupOf(trace, mono, conditions))[0]).toMatch(/This much line stretches/)
  const ledger = draftOf('runningLedger', braid, defaultConditions())
  expect(strikesOf(setupOf(ledger.trace, braid, ledger.conditions))).toEqual([strikeWords('circle', false)])
})
