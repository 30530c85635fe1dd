import { describe, expect, test } from 'vitest'
import { eachByItself } from '../../src/core/advice/tellOnce.ts'
import { resultsOf } from '../../src/core/moments/judge.ts'
import { VERDICT_RANK } from '../../src/core/moments/moment.ts'
import { parseTrace } from '../../src/core/soundness/parseTrace.ts'
import { type Content, judged } from '../fixtures/judgedDrafts.ts'
import { catalogue } from '../fixtures/setups.ts'
import { BAD } from './bad.ts'
import { GOOD } from './good.ts'

/** Everything said of a trace: its findings by rule, and each moment with its verdict. */
function said(content: Content): string[] {
  const evaluation = judged(content)
  return [
    ...eachByItself(evaluation.findings).map(({ rule }) => rule),
    ...resultsOf(evaluation).map(({ moment, verdict }) => `${moment} ${verdict}`),
  ]
}

/** What is said above a note, or fails. */
function alarms(content: Content): string[] {
  const evaluation = judged(content)
  return [
    ...evaluation.findings.filter(({ severity }) => severity !== 'note').map(({ id, severity }) => `${severity} ${id}`),
    ...resultsOf(evaluation)
      .filter(({ verdict }) => VERDICT_RANK[verdict] === 2)
      .map(({ moment }) => `${moment} fails`),
  ]
}

describe('the table of traces that are known', () => {
  test('there are at least 120 bad and 110 good ones, all sound documents, each once', () => {
    expect(BAD.length).toBeGreaterThanOrEqual(120)
    expect(GOOD.length).toBeGreaterThanOrEqual(110)
    for (const rows of [BAD, GOOD]) {
      expect(new Set(rows.map(({ name }) => name)).size).toBe(rows.length)
      for (const { name, content } of rows) expect(parseTrace(content.trace, catalogue).ok, name).toBe(true)
    }
  })

  test.each(BAD)('bad: $name: $say', ({ content, say, not }) => {
    expect(said(content)).toContain(say)
    if (not) expect(said(content)).not.toContain(not)
  })

  test.each(GOOD)('good: $name', ({ content }) => {
    expect(alarms(content)).toEqual([])
  })
})
