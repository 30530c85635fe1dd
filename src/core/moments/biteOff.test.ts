import { describe, expect, test } from 'vitest'
import { inWords, judged } from '../../../tests/fixtures/judgedDrafts.ts'
import { LB } from '../../../tests/fixtures/outfits.ts'
import { targetNamed } from '../../../tests/fixtures/purposes.ts'
import { catalogue } from '../../../tests/fixtures/setups.ts'
import { biteOff, teethN } from './biteOff.ts'

const conger = { target: targetNamed('conger') }

/** What the teeth of a conger find at the uppermost hook of a trace in words. */
function found(text: string) {
  const { trace, conditions } = inWords(text, conger)
  const hook = trace.pieces.find((piece) => piece.role === 'hook')!
  if (hook.role !== 'hook') throw new Error('no hook')
  return biteOff({ trace, conditions, catalogue }, hook)
}

describe('a bite-off', () => {
  test('is the label of the line at the hook over what the teeth ask for', () => {
    const neededN = teethN(conger.target)
    expect(found('leader 60 lb 2 m, J 6/0')).toMatchObject({ neededN, isRisk: true })
    expect(found('leader 60 lb 2 m, J 6/0')!.share).toBeCloseTo((60 * LB) / neededN, 12)
    expect(found('leader 100 lb 2 m, J 6/0')).toBeUndefined()
  })

  test.each([
    ['wire', 'leader 60 lb 2 m, swivel, bite trace wire #7 30 cm, J 6/0'],
    ['a long shank', 'leader 60 lb 2 m, long shank 6/0'],
    ['linked hooks', 'leader 60 lb 2 m, J 6/0, J 6/0'],
  ])('%s guards against it', (_, text) => expect(found(text)).toBeUndefined())

  test.each([
    ['an opened eye', 'leader 60 lb 2 m, J 6/0, J 6/0 opened'],
    ['wire that the fish takes in whole', 'leader 60 lb 2 m, swivel, bite trace wire #7 5 cm, J 6/0'],
  ])('%s does not', (_, text) => expect(found(text)).toMatchObject({ line: { id: 'leader' } }))

  test('makes the take and the run watch, with one finding for both', () => {
    const { take, run, findings } = judged(inWords('leader 60 lb 2 m, J 6/0, dead bait 100 g stitched', conger))
    expect([take, run].map((moment) => [moment!.verdict, moment!.figure.key])).toEqual([
      ['watch', 'lineOverTeeth'],
      ['watch', 'lineOverTeeth'],
    ])
    expect(findings.filter(({ rule }) => rule === 'lighter-than-teeth')).toMatchObject([{ explains: ['take', 'run'] }])
  })
})
