import fc from 'fast-check'
import { expect, test } from 'vitest'
import { draftOf } from '../../../tests/fixtures/drafts.ts'
import { FAMILY_FIXTURES } from '../../../tests/fixtures/families.ts'
import { braidOutfit, LB } from '../../../tests/fixtures/outfits.ts'
import { catalogue } from '../../../tests/fixtures/setups.ts'
import { differences } from '../analysis/differences.ts'
import { defaultConditions } from '../documents/conditions.ts'
import { isLine, parentId } from '../documents/pieces.ts'

import { parseTrace } from '../soundness/parseTrace.ts'
import { clipFor, withClip, withFields, withJoint, withLength, withoutClip } from './changes.ts'

const outfit = braidOutfit(50)
const paternoster = draftOf('boomPaternoster', outfit, defaultConditions(), { snoods: 3 }).trace

test('a line made shorter or longer keeps what sits along it at its share, and every trace stays sound', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...FAMILY_FIXTURES),
      fc.nat(),
      fc.double({ min: 0.01, max: 500, noNaN: true }),
      ({ trace }, pick, lengthM) => {
        const lines = trace.pieces.filter(isLine)
        const line = lines[pick % lines.length]!
        const changed = withLength(trace, line.id, lengthM)
        expect(parseTrace(changed, catalogue).ok).toBe(true)
        for (const piece of changed.pieces) {
          const before = trace.pieces.find(({ id }) => id === piece.id)!
          if (
            parentId(piece.attach) !== line.id ||
            !('atM' in piece.attach) ||
            !('atM' in before.attach) ||
            piece.attach.how === 'through'
          )
            continue
          expect(piece.attach.atM / lengthM).toBeCloseTo(before.attach.atM / line.lengthM, 9)
        }
      },
    ),
  )
})

test('an edit leaves the document it came from as it was', () => {
  const before = structuredClone(paternoster)
  withLength(paternoster, 'body', 3)
  withJoint(paternoster, 'leader', () => ({ connection: 'albright' }))
  withClip(paternoster, 'sinker')
  expect(paternoster).toEqual(before)
})

test('a release clip bridges from the part above the sinker’s line, and goes as it came', () => {
  const trace = withoutClip(draftOf('threeWay', outfit, defaultConditions()).trace, 'sinker')
  expect(trace.releaseClips).toBeUndefined()
  const clipped = withClip(trace, 'sinker')
  expect(clipFor(clipped, 'sinker')).toMatchObject({ from: 'three-way', to: 'sinker' })
  expect(parseTrace(clipped, catalogue).ok).toBe(true)
  expect(withoutClip(clipped, 'sinker')).toEqual(trace)
})

test('differences name what changed, and nothing else', () => {
  expect(differences(paternoster, structuredClone(paternoster))).toEqual([])
  const stepped = withFields(paternoster, 'leader', { strengthN: 30 * LB })
  const retied = withJoint(stepped, 'leader', () => ({ connection: 'albright' }))
  expect(differences(paternoster, retied)).toEqual([
    { kind: 'changed', id: 'leader', field: 'strengthN', before: expect.any(Number), after: 30 * LB },
    { kind: 'changed', id: 'leader', field: 'connection', before: 'fg', after: 'albright' },
  ])
  const without = { ...paternoster, pieces: paternoster.pieces.filter(({ id }) => id !== 'hook-a-bait') }
  expect(differences(paternoster, without)).toEqual([{ kind: 'removed', id: 'hook-a-bait' }])
  expect(differences(without, paternoster)).toEqual([{ kind: 'added', id: 'hook-a-bait' }])
})
