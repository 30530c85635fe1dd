import type { BiteTrace } from '../purpose/biteTrace.ts'
import type { Repeat, Row } from './family.ts'
import { bareHook, line, part, tied } from './rows.ts'

/** Wire before the hook, m, and its label over the leader’s. */
const WIRE_M = 0.3
const OVER_LEADER = 1.1

/** Rows with what stands between teeth and line put before each hook that is tied to a line; a long shank is a matter of the hook. */
export function withBiteTrace(rows: readonly (Row | Repeat)[], bite: BiteTrace): readonly (Row | Repeat)[] {
  if (bite !== 'wire' && bite !== 'linkedHooks') return rows
  const isLine = (id: string) =>
    rows.some((row) => ('each' in row ? row.rows : [row]).some((each) => each.id === id && 'line' in each))
  const wired = rows.map((row): Row | Repeat | Row[] => {
    if ('each' in row)
      return row.from === undefined ? { ...row, rows: row.rows.flatMap((each) => before(each, bite, isLine)) } : row
    return before(row, bite, isLine)
  })
  return wired.flat()
}

/** A hook on a line with its bite trace before it; any other row as it is. */
function before(row: Row, bite: 'wire' | 'linkedHooks', isLine: (id: string) => boolean): Row[] {
  if (!('hook' in row) || !('tied' in row.hangs) || !isLine(row.hangs.tied)) return [row]
  const letter = row.id.endsWith('-#') ? '-#' : ''
  if (bite === 'linkedHooks') {
    const id = `link${letter}`
    return row.hook === 'baited' ? [bareHook(id, row.hangs), { ...row, hangs: tied(id) }] : [row]
  }
  const [swivel, wire] = [`bite-swivel${letter}`, `bite-trace${letter}`]
  return [
    part(swivel, 'swivel', tied(row.hangs.tied)),
    line(wire, 'biteTrace', 'wire', OVER_LEADER, WIRE_M, tied(swivel)),
    { ...row, hangs: tied(wire) },
  ]
}
