import { expect, test } from 'vitest'
import { FAMILY_FIXTURES } from '../../../../tests/fixtures/families.ts'
import { catalogue } from '../../../../tests/fixtures/setups.ts'
import { show } from '../../../../tests/fixtures/show.ts'
import { buildSteps } from '../../../core/build/steps.ts'
import type { Show } from '../../settings/show.ts'
import { stepWords } from './stepWords.ts'

const inMetres = (_: unknown, si: number) => `${si} m`
const metres: Show = {
  ...show,
  tape: (m) => inMetres(undefined, m),
  depth: (m) => inMetres(undefined, m),
  computed: inMetres,
  entered: inMetres,
}
const wordsOf = (family: string) => {
  const { trace } = FAMILY_FIXTURES.find((fixture) => fixture.trace.family === family)!
  return buildSteps({ trace, catalogue }).map((step) => stepWords(step, { trace, catalogue }, metres).text)
}

test('a running ledger, step by step', () => {
  expect(wordsOf('runningLedger')).toEqual([
    'Slide onto the leader, in this order: lead, bead.',
    'Tie the swivel to the leader: uni, 5 turns.',
    'Tie the hook length to the swivel: uni, 5 turns.',
    'Tie the hook to the hook length: snell, 7 turns.',
    'At the water, tie the leader to the main line: FG (woven), 22 turns.',
  ])
})

test('a loop in a line’s own end is made, and one that becomes tags is cut open', () => {
  expect(wordsOf('windOn')).toContain('Tie the leader loop in the end of the leader: double-sleeve crimp.')
  const tags = FAMILY_FIXTURES.find(({ trace }) => trace.family === 'twinTag')!.trace
  const whys = buildSteps({ trace: tags, catalogue }).map((step) => stepWords(step, { trace: tags, catalogue }, metres).why)
  expect(whys).toContain('Cut it open: its legs are the tag 1 and the tag 2.')
})

test('knots tied part-way say where; what runs on the reel’s own line goes on before the last knot', () => {
  expect(wordsOf('hookString')).toContain('Fix the loop 2 on the body, 0.7 m from its upper end: dropper loop, 6 turns.')
  const kite = wordsOf('kiteBait')
  expect(kite.at(-2)).toBe('Slide onto the main line, in this order: clip ring, marker, small lead.')
  expect(kite.at(-1)).toMatch(/^At the water, tie the swivel/)
})

test.each(FAMILY_FIXTURES)('$trace.family: every step is a whole sentence', ({ trace }) => {
  for (const step of buildSteps({ trace, catalogue }))
    expect(stepWords(step, { trace, catalogue }, metres).text).toMatch(/^[A-Z].*\.$/)
  expect(
    buildSteps({ trace, catalogue })
      .map((step) => stepWords(step, { trace, catalogue }, metres).text)
      .join(' '),
  ).not.toMatch(/undefined|NaN/)
})
