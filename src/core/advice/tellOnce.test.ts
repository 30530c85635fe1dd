import { describe, expect, test } from 'vitest'
import {
  base,
  fished,
  inWords,
  joint,
  judged,
  lowered,
  of,
  set,
  under,
  withOutfit,
} from '../../../tests/fixtures/judgedDrafts.ts'
import { LB } from '../../../tests/fixtures/outfits.ts'
import { usualMoving } from '../documents/moving.ts'
import { withLength } from '../edit/changes.ts'
import { phraseText } from '../units/phrase.ts'
import { setAside } from './setAside.ts'
import { eachByItself } from './tellOnce.ts'

const LOUD = (severity: string) => severity !== 'note'
const merged = (content: Parameters<typeof judged>[0]) =>
  judged(content)
    .findings.filter(({ severity }) => LOUD(severity))
    .map(({ id, effects }) => [id, ...effects.map(({ rule }) => rule)])

const fewTurns = of(base('runningLedger'), joint('leader', { connection: 'fg', turns: 6 }))

describe('one cause is told once', () => {
  test('a knot of few turns, the chain that it weakens and the drag that is then too much', () => {
    expect(merged(fewTurns)).toEqual([['few-turns: leader', 'lighter-than-its-knots-allow', 'drag-over-ceiling']])
    const [finding] = judged(fewTurns).findings
    expect(finding).toMatchObject({ severity: 'fault', explains: ['run', 'hand'] })
    expect(phraseText(finding!.why, ({ si }) => String(Math.round(si / LB)))).toMatch(
      /^The FG .* has 6 turns; 22 are usual in this line\. The drag is set to \d+; the chain holds \d+ with this line out\.$/,
    )
    expect(finding!.remedies.map(({ label }) => label)).toEqual(
      expect.arrayContaining(['tie it with 22 turns', 'set the drag lower']),
    )
  })

  test('a worn leader, and its knot that is the weakest link for it', () =>
    expect(merged(of(base('runningLedger'), set('leader', { condition: 0.5 })))[0]).toEqual([
      'worn-line: leader',
      'lighter-than-its-knots-allow',
      'drag-over-ceiling',
    ]))

  test('backing that bears less than what is over it, and the drag', () => {
    const wound = [
      { role: 'backing', material: 'mono', strengthN: 12 * LB, lengthM: 100 },
      { role: 'main', material: 'braid', strengthN: 50 * LB, lengthM: 100, joint: { connection: 'doubleUni' } },
    ] as never
    const deep = fished(withOutfit(base('liveBaitLeader', lowered), { wound }), { lineOutM: 150 })
    expect(merged(deep)[0]).toEqual(['backing-decides: backing', 'drag-over-ceiling'])
  })

  test('a cast that the line on the reel takes, for want of a leader that reaches it', () => {
    const short = of(base('runningLedger', {}), (trace) => withLength(set('leader', { strengthN: 12 * LB })(trace), 'leader', 2))
    const ids = merged(short).map(([id]) => id)
    expect(ids.filter((id) => /cast|leader-under/.test(id!))).toEqual(['cast-too-hard'])
  })

  test('two lures too alike on one rig, which swim into each other for that', () => {
    const alike = fished(
      inWords('leader 40 lb 3 m, three-way swivel 2 (snood 40 lb 1 m, lure 60 g; snood 40 lb 1 m, lure 60 g)'),
      { moving: usualMoving('trolled') },
    )
    const rules = merged(alike).map(([id, ...effects]) => [id!.split(':')[0], ...effects])
    expect(rules).toContainEqual(['tandem-alike', 'legs-meet'])
  })

  test('three hooks that one rule does not allow', () =>
    expect(
      merged(under(base('hookString', lowered), { barblessOnly: true })).filter(([id]) => id === 'barbless-required'),
    ).toHaveLength(1))

  test('what was set aside stays alone, and what follows from it is told by itself', () => {
    const [cause] = judged(fewTurns).findings
    const kept = { ...fewTurns, trace: setAside(fewTurns.trace, { ...cause!, figure: 100 }, 'tested on the beach') }
    const { findings } = judged(kept)
    expect(findings.find(({ id }) => id === cause!.id)).toMatchObject({ aside: 'tested on the beach', effects: [] })
    expect(findings.map(({ rule }) => rule)).toContain('lighter-than-its-knots-allow')
  })

  test('no finding is lost, and none is there twice', () => {
    const ids = eachByItself(judged(fewTurns).findings).map(({ id }) => id)
    expect(new Set(ids).size).toBe(ids.length)
    expect(ids).toEqual(expect.arrayContaining(['few-turns: leader', 'drag-over-ceiling']))
  })
})
