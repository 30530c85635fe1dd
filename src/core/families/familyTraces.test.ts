import { expect, test } from 'vitest'
import { FAMILY_FIXTURES } from '../../../tests/fixtures/families.ts'
import { catalogue } from '../../../tests/fixtures/setups.ts'
import { parseTrace } from '../soundness/parseTrace.ts'
import { endsOf, pathToPiece } from '../soundness/paths.ts'

test('there is a document for each of the 26 families', () => {
  expect(new Set(FAMILY_FIXTURES.map(({ trace }) => trace.family)).size).toBe(26)
})

test.each(FAMILY_FIXTURES)('$trace.family parses, and its paths read as drawn', ({ trace, paths }) => {
  const parsed = parseTrace(JSON.parse(JSON.stringify(trace)), catalogue)
  expect(parsed.ok ? [] : parsed.issues).toEqual([])
  for (const [end, path] of Object.entries(paths))
    expect(
      pathToPiece(trace, end)
        .map(({ id }) => id)
        .join(' '),
    ).toBe(path)
})

test.each(FAMILY_FIXTURES)('$trace.family: every end has a path', ({ trace }) => {
  const ends = endsOf(trace)
  expect(ends.length).toBeGreaterThan(0)
  for (const { id } of ends) expect(pathToPiece(trace, id).at(-1)?.id).toBe(id)
})
