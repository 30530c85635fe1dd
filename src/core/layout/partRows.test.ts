import { expect, test } from 'vitest'
import { FAMILY_FIXTURES } from '../../../tests/fixtures/families.ts'
import { braidOutfit } from '../../../tests/fixtures/outfits.ts'
import { pieceIdOf } from '../documents/linkRef.ts'
import { parentId, pieceById } from '../documents/pieces.ts'
import type { Piece, Trace } from '../documents/trace.ts'
import { ridesOn } from '../edit/along.ts'
import { partRows } from './partRows.ts'
import { layOutReach } from './reach.ts'

const outfit = braidOutfit(50)
const rowsOf = (trace: Trace) => {
  const { items } = layOutReach(trace, outfit, { width: 800, trunkY: 58, laneHeight: 70, labelWidth: () => 40 })
  return { items, rows: partRows(trace, outfit) }
}
/** From a piece up to the outfit. */
const upFrom = (trace: Trace, piece: Piece | undefined): Piece[] =>
  piece ? [piece, ...upFrom(trace, pieceById(trace, parentId(piece.attach)))] : []

test.each(FAMILY_FIXTURES.map(({ trace }) => [trace.name, trace] as const))(
  '%s: every drawn part is a row once, after what it hangs from, as deep as the lines it hangs off',
  (_, trace) => {
    const { items, rows } = rowsOf(trace)
    expect(rows.map(({ item }) => item.id).toSorted()).toEqual(items.map(({ id }) => id).toSorted())
    expect(rows[0]!.item.id).toBe('reel')
    const at = new Map(rows.map(({ item }, i) => [item.id, i]))
    for (const [i, { item, depth }] of rows.entries()) {
      const line = upFrom(trace, pieceById(trace, pieceIdOf(item.ref) ?? ''))
      expect(depth).toBe(line.filter((each) => ridesOn(each) !== undefined).length)
      const [, parent] = line
      if (parent) expect(at.get(parent.id)).toBeLessThan(i)
    }
  },
)

test('what sits along a line comes before what the line ends with', () => {
  let seen = 0
  for (const { trace } of FAMILY_FIXTURES) {
    const at = new Map(rowsOf(trace).rows.map(({ item }, i) => [item.id, i]))
    for (const along of trace.pieces) {
      const line = pieceById(trace, ridesOn(along) ?? '')
      const ends = trace.pieces.filter(({ attach }) => attach.how === 'joined' && attach.to === line?.id && attach.end !== 'near')
      for (const end of ends) expect(at.get(along.id)).toBeLessThan(at.get(end.id)!)
      seen += ends.length
    }
  }
  expect(seen).toBeGreaterThan(20)
})
