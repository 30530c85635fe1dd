import { expect, test } from 'vitest'
import { base, inWords, lowered, of, set } from '../../../tests/fixtures/judgedDrafts.ts'
import { LB } from '../../../tests/fixtures/outfits.ts'
import { catalogue } from '../../../tests/fixtures/setups.ts'
import type { Joint } from '../documents/fields.ts'
import type { Attach, Piece } from '../documents/trace.ts'
import { emptyTrace } from '../families/emptyTrace.ts'
import { normalOf, seeded } from '../math/seeded.ts'
import { prepareSetup } from './prepareSetup.ts'

/** The path to the hook of a live-bait leader on 50 lb braid, the leader of a label. */
function pathWith(leaderLb: number) {
  const { trace, outfit, conditions } = of(base('liveBaitLeader', lowered), set('leader', { strengthN: leaderLb * LB }))
  const prepared = prepareSetup({ trace, outfit, conditions, catalogue })
  return prepared.path('hook')
}

/** What each link does in many pulls: a joint bears the less of its shares, each of its own line as strong as that line is this time. */
function trial({ links }: ReturnType<typeof pathWith>, pulls: number): number[] {
  const even = seeded(20261130)
  const normal = () => normalOf(even)
  const counts = links.map(() => 0)
  for (let n = 0; n < pulls; n += 1) {
    const lines = new Map<string, number>()
    for (const { failing } of links)
      for (const each of failing) if ('meanN' in each) lines.set(each.id, each.meanN * (1 + each.variation * normal()))
    const strengths = links.map(({ failing }) =>
      Math.min(
        ...failing.map((each) =>
          'meanN' in each ? lines.get(each.id)! : each.efficiency * (1 + each.variation * normal()) * lines.get(each.line)!,
        ),
      ),
    )
    counts[strengths.indexOf(Math.min(...strengths))]! += 1
  }
  return counts.map((count) => count / pulls)
}

test.each([48.75, 50, 52, 60])(
  'the knot between main line and a leader of %d lb follows both: as a seeded trial says',
  (leaderLb) => {
    const path = pathWith(leaderLb)
    const joint = path.links.findIndex(({ kind, ref }) => kind === 'joint' && ref.at === 'joint' && ref.id === 'leader')
    expect(path.links[joint]!.failing).toHaveLength(2)
    const counted = trial(path, 60_000)
    // Four standard errors of the trial, and what the tables are worth.
    for (const [i, chance] of path.first.entries())
      expect(Math.abs(chance - counted[i]!), path.links[i]!.id).toBeLessThan(4 * Math.sqrt(chance / 60_000) + 1e-3)
  },
)

test('nothing leaps where the weaker side changes', () => {
  const [under, over] = [49.999, 50.001].map(pathWith)
  for (const [i, chance] of under!.first.entries()) expect(chance).toBeCloseTo(over!.first[i]!, 3)
})

test('a side that bears far more never counts', () => {
  const { links } = pathWith(150)
  expect(links.find(({ ref }) => ref.at === 'joint' && ref.id === 'leader')!.failing).toHaveLength(1)
})

test('a loop tied in a line part-way is one knot of that line', () => {
  const content = inWords('body 2 m 40 lb (dropper 30 cm 40 lb, J 1/0; dropper 30 cm 40 lb, J 1/0), bomb 100 g')
  const { links } = prepareSetup({ ...content, catalogue }).path('sinker')
  const inBody = links.map(({ failing }) => failing.filter((each) => 'line' in each && each.line === 'body').length)
  expect(inBody.filter((count) => count > 0)).toEqual([1, 1, 1, 1])
})

test('a loop hitched to the loop of the main line is as strong as the hitch leaves the main line (2026-11-30: without end)', () => {
  const { outfit, conditions } = inWords('hook 2/0')
  const tied = (to: string, connection: Joint['connection']): Attach => ({ how: 'joined', to, joint: { connection } })
  const pieces: Piece[] = [
    { id: 'upper', role: 'hardware', type: 'loop', attach: tied('outfit', 'surgeonsLoop') },
    { id: 'lower', role: 'hardware', type: 'loop', attach: tied('upper', 'catsPaw') },
    { id: 'hook', role: 'hook', pattern: 'j', size: '2/0', attach: tied('lower', 'fitted') },
  ]
  const { links, first } = prepareSetup({ trace: { ...emptyTrace('loops'), pieces }, outfit, conditions, catalogue }).path('hook')
  const [main] = links
  const hitch = links.find(({ id }) => id === 'lower.joint')!
  expect(hitch.strengthN).toBeCloseTo(main!.strengthN * catalogue.connections.catsPaw.efficiency.braid!, 9)
  expect(first.reduce((sum, chance) => sum + chance, 0)).toBeCloseTo(1, 9)
})
