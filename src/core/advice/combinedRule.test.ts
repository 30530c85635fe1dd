import { describe, expect, test } from 'vitest'
import { inWords, judged, under } from '../../../tests/fixtures/judgedDrafts.ts'
import { catalogue } from '../../../tests/fixtures/setups.ts'
import { hookDimensions } from '../catalogue/hooks.ts'
import type { RuleSet } from '../documents/ruleSet.ts'
import { eachByItself } from './tellOnce.ts'

/** What is said of the lengths of a double of 2 m and a leader of 3 m to a hook, under a rule. */
const said = (rules: Partial<RuleSet>) =>
  eachByItself(judged(under(inWords('double 2 m, loop cats paw, leader 40 lb 3 m, circle 8/0'), rules)).findings)
    .filter(({ rule }) => rule === 'leader-over-rule')
    .map(({ severity, figure }) => [severity, figure] as const)

describe('the rule for leader and double together', () => {
  test('is checked where the leader alone is only near its limit', () => {
    expect(said({ maxLeaderM: 3.06 }).map(([severity]) => severity)).toEqual(['note'])
    expect(said({ maxLeaderM: 3.06, maxCombinedM: 4 }).map(([severity]) => severity)).toEqual(['caution'])
    expect(said({ maxLeaderM: 3.06, maxCombinedM: 9 }).map(([severity]) => severity)).toEqual(['note'])
  })

  test('the hook counts with the leader', () => {
    const { shankM } = hookDimensions(catalogue, 'circle', '8/0')!
    const [[severity, figure] = ['', 0]] = said({ maxLeaderM: 3 })
    expect(severity).toBe('caution')
    expect(figure).toBeCloseTo((3 + shankM) / 3, 9)
  })
})
