import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { advise } from '../../src/core/advice/advise.ts'
import { SEVERITY_OF, SEVERITY_RANK } from '../../src/core/advice/finding.ts'
import { CAST_STYLE_IDS, LANDING_IDS, METHOD_IDS } from '../../src/core/catalogue/ids.ts'
import { type Conditions, defaultConditions } from '../../src/core/documents/conditions.ts'
import { defaultWater } from '../../src/core/documents/water.ts'
import { CoreError } from '../../src/core/errors.ts'
import { judge, resultsOf } from '../../src/core/moments/judge.ts'
import { atDepth } from '../depth.ts'
import { judged } from '../fixtures/judgedDrafts.ts'
import { braidOutfit } from '../fixtures/outfits.ts'
import { attempt, editsArb, STARTS } from '../fixtures/randomTraces.ts'
import { catalogue } from '../fixtures/setups.ts'
import { BAD } from './bad.ts'
import { GOOD } from './good.ts'

type Judged = { moments: Parameters<typeof resultsOf>[0]['moments']; findings: ReturnType<typeof advise> }

/** Verdicts that no finding gives the reason of, as severely as the verdict is. */
const unexplained = ({ moments, findings }: Judged): string[] =>
  resultsOf({ moments }).flatMap(({ moment, verdict, figure }) => {
    const wanted = SEVERITY_RANK[SEVERITY_OF[verdict]]
    const told = findings.some(({ explains, severity }) => explains.includes(moment) && SEVERITY_RANK[severity] >= wanted)
    return verdict === 'holds' || told ? [] : [`${moment} ${verdict} by ${figure.key}`]
  })

const outfit = braidOutfit(50)
const conditionsArb: fc.Arbitrary<Conditions> = fc
  .record({
    dragN: fc.double({ min: 5, max: 150, noNaN: true }),
    fishMassKg: fc.double({ min: 0.2, max: 40, noNaN: true }),
    landing: fc.constantFrom(...LANDING_IDS),
    castStyle: fc.constantFrom(...CAST_STYLE_IDS),
    freeboardM: fc.double({ min: 0, max: 8, noNaN: true }),
    method: fc.option(fc.constantFrom(...METHOD_IDS)),
    depthM: fc.double({ min: 1, max: 150, noNaN: true }),
    streamMperS: fc.double({ min: 0, max: 2, noNaN: true }),
  })
  .map(({ method, depthM, streamMperS, ...drawn }) => ({
    ...defaultConditions(),
    ...drawn,
    fishAssumed: undefined,
    ...(method ? { water: { ...defaultWater(catalogue, method), depthM, streamMperS } } : {}),
  }))

describe('a verdict that does not hold has a finding that gives its reason, as severe as it is', () => {
  test.each([...BAD, ...GOOD])('$name', ({ content }) => expect(unexplained(judged(content))).toEqual([]))

  test('on any trace, under any conditions', () => {
    fc.assert(
      fc.property(fc.constantFrom(...STARTS), editsArb, conditionsArb, (start, edits, conditions) => {
        const trace = edits.reduce((made, edit) => {
          const result = attempt(made, outfit, edit)
          return result.ok ? result.trace : made
        }, start)
        try {
          const judgement = judge({ trace, outfit, catalogue, conditions })
          expect(unexplained({ ...judgement, findings: advise(judgement) })).toEqual([])
        } catch (error) {
          if (!(error instanceof CoreError)) throw error
        }
      }),
      { numRuns: atDepth(80, 1200), seed: 31 },
    )
  })
})
