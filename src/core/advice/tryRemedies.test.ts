import fc from 'fast-check'
import { expect, test } from 'vitest'
import { atDepth } from '../../../tests/depth.ts'
import type { Content } from '../../../tests/fixtures/judgedDrafts.ts'
import { advised, base, fished, found, judged, of, outfit, ruleSet, set, usual } from '../../../tests/fixtures/judgedDrafts.ts'
import { LB } from '../../../tests/fixtures/outfits.ts'
import { traceArb } from '../../../tests/fixtures/randomTraces.ts'
import { catalogue } from '../../../tests/fixtures/setups.ts'
import { defaultWater } from '../documents/water.ts'
import { withoutClip } from '../edit/changes.ts'
import { resultsOf } from '../moments/judge.ts'
import { parseTrace } from '../soundness/parseTrace.ts'
import { setAside, takenUp } from './setAside.ts'
import { tryRemedies } from './tryRemedies.ts'

test('on any trace, every remedy offered leaves it sound, fixes what it says, fails no moment, and announces what it costs', () => {
  const rank = { holds: 0, watch: 1, fails: 2 }
  let offered = 0
  fc.assert(
    fc.property(
      traceArb,
      fc.constantFrom('none' as const, 'lob' as const, 'overhead' as const),
      fc.double({ min: 5, max: 120, noNaN: true }),
      (trace, castStyle, dragN) => {
        const content: Content = {
          trace,
          outfit,
          conditions: { ...usual, castStyle, dragN },
          ruleSet: { ...ruleSet, maxLeaderM: 5, maxHooks: 2 },
        }
        const before = judged(content)
        const verdicts = new Map(resultsOf(before).map(({ moment, verdict }) => [moment, verdict]))
        for (const finding of before.findings.slice(0, 4)) {
          const remedies = tryRemedies(finding, advised(content, before))
          const costs = remedies.map(({ lowers, brings }) => [
            lowers.length,
            brings.filter(({ severity }) => severity !== 'note').length,
          ])
          expect(costs).toEqual(costs.toSorted(([a = 0, b = 0], [c = 0, d = 0]) => a - c || b - d))
          for (const remedy of remedies) {
            offered += 1
            expect(parseTrace(JSON.parse(JSON.stringify(remedy.trace)), catalogue).ok).toBe(true)
            const after = judged({ ...content, ...remedy })
            expect(after.findings.map(({ id }) => id)).not.toContain(finding.id)
            for (const { moment, verdict } of resultsOf(after)) {
              const from = verdicts.get(moment)
              if (from === undefined || rank[verdict] <= rank[from]) continue
              expect(verdict).not.toBe('fails')
              expect(remedy.lowers).toContainEqual({ moment, from, to: verdict })
            }
            const known = new Set(before.findings.map(({ id }) => id))
            const announced = new Set(remedy.brings.map(({ id }) => id))
            for (const { id } of after.findings) expect(known.has(id) || announced.has(id), id).toBe(true)
          }
        }
      },
    ),
    { numRuns: atDepth(25, 80), seed: 20261125 },
  )
  expect(offered).toBeGreaterThan(atDepth(15, 50))
})

test('a weak link stepped down that the cast would break is offered with its clip', () => {
  const thick = of(base('threeWay'), (trace) => withoutClip(set('sinker-line', { strengthN: 60 * LB })(trace), 'sinker'))
  const content = fished(thick, { castStyle: 'offTheGround' })
  const finding = found(content, 'weak-link-not-weaker')[0]!
  const remedies = tryRemedies(finding, advised(content, judged(content)))
  expect(remedies[0]!.label).toMatch(/release clip/)
  expect(remedies[0]!.trace.releaseClips).toHaveLength(1)
})

test('a finding set aside stays away with its reason, and comes back when its figure gets worse', () => {
  const content = fished(base('runningLedger'), { dragN: 18 * LB })
  const [finding] = found(content, 'drag-over-ceiling')
  const aside = of(content, (trace) => setAside(trace, finding!, 'only over clean sand'))
  expect(parseTrace(aside.trace, catalogue).ok).toBe(true)
  expect(found(aside, 'drag-over-ceiling')[0]!.aside).toBe('only over clean sand')
  expect(found(fished(aside, { dragN: 17 * LB }), 'drag-over-ceiling')[0]?.aside).toBe('only over clean sand')
  expect(found(fished(aside, { dragN: 19 * LB }), 'drag-over-ceiling')[0]!.aside).toBeUndefined()
  expect(takenUp(aside.trace, finding!.id)).toEqual(content.trace)
})

test('a lead too light from the shore: more line first, then wires, then a shorter cast, before more lead', () => {
  const water = { ...defaultWater(catalogue, 'shore'), streamMperS: 1.2, distanceM: 100 }
  const content = fished(of(base('runningLedger'), set('sinker', { shape: 'bomb', massKg: 0.12 })), { water })
  const labels = tryRemedies(found(content, 'sinker-too-light')[0]!, advised(content, judged(content))).map(({ label }) => label)
  expect(labels).toContain('a wired grip sinker of the same weight')
  const order = ['let out more line', 'a wired lead', 'cast it shorter', 'take the weight', 'towards slack']
  const places = labels.map((label) => order.findIndex((start) => label.includes(start)))
  expect(places).toEqual(places.toSorted())
})
