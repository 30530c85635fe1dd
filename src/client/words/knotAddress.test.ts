import fc from 'fast-check'
import { expect, test } from 'vitest'
import { MATERIAL_IDS } from '../../core/catalogue/ids.ts'
import { knotPath, readKnotFor } from './knotAddress.ts'

const read = (path: string) => readKnotFor(new URL(path, 'http://here').searchParams)

test('what a knot is shown for goes into its address and comes back', () => {
  const line = fc.record(
    {
      material: fc.constantFrom(...MATERIAL_IDS),
      strengthN: fc.double({ min: 0.1, max: 100_000, noNaN: true }),
      diameterM: fc.double({ min: 1e-5, max: 0.02, noNaN: true }),
    },
    { requiredKeys: ['material', 'strengthN'] },
  )
  fc.assert(
    fc.property(
      fc.array(line, { maxLength: 2 }),
      fc.option(fc.integer({ min: 1, max: 60 }), { nil: undefined }),
      (lines, turns) => {
        const back = read(knotPath('uni', { lines, turns }))
        expect(back.turns).toBe(turns)
        expect(back.lines.map(({ material }) => material)).toEqual(lines.map(({ material }) => material))
        for (const [i, { strengthN, diameterM }] of back.lines.entries()) {
          expect(strengthN / lines[i]!.strengthN).toBeCloseTo(1, 4)
          if (diameterM !== undefined) expect(diameterM / lines[i]!.diameterM!).toBeCloseTo(1, 4)
        }
      },
    ),
  )
})

test.each(['line=rope_10', 'line=mono_-3', 'line=mono_x', 'line=mono', 'turns=0', 'turns=2.5', 'turns=x', 'line=braid_1e9_7'])(
  'what does not read is left out: %s',
  (query) => expect(read(`/knots/uni?${query}`)).toEqual({ lines: [], turns: undefined }),
)
