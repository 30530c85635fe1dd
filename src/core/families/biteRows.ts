import type { BiteTrace } from '../purpose/biteTrace.ts'
import type { Repeat, Row } from './family.ts'
import { bareHook, line, part, tied } from './rows.ts'

/** Wire before the hook, m, and its label over the leader’s. */
const WIRE_M = 0.3
const OVER_LEADER = 1.1

/** Rows with what stands between teeth and line put before each hook that is tied to a line; a long shank is a matter of the hook. */
export function withBiteTrace(rows: readonly (Row | Repeat)[], bite: BiteTrace): readonly (Row | Repeat)[] {
  if (bite !== 'wire' && bite !== 'linkedHooks') return rows
  const isBitten = (id: string) =>
    rows.some((row) =>
      ('each' in row ? row.rows : [row]).some((each) => each.id === id && 'line' in each && !isWire(each.material)),
    )
  return rows.flatMap((row): (Row | Repeat)[] => {
    if (!('each' in row)) return before(row, bite, isBitten)
    // Hooks linked to each other stand before the line as they are.
    return [row.from === undefined ? { ...row, rows: row.rows.flatMap((each) => before(each, bite, isBitten)) } : row]
  })
}

const isWire = (material: string) => material === 'wire' || material === 'cable'

/** A hook on a line with its bite trace before it; any other row as it is. */
function before(row: Row, bite: 'wire' | 'linkedHooks', isBitten: (id: string) => boolean): Row[] {
  if (!('hook' in row) || !('tied' in row.hangs) || !isBitten(row.hangs.tied)) return [row]
  // Named after its hook, so that each has its own.
  const named = (what: string) => `${what}-${row.id}`
  if (bite === 'linkedHooks')
    return row.hook === 'baited' ? [bareHook(named('link'), row.hangs), { ...row, hangs: tied(named('link')) }] : [row]
  return [
    part(named('swivel'), 'swivel', tied(row.hangs.tied)),
    line(named('wire'), 'biteTrace', 'wire', OVER_LEADER, WIRE_M, tied(named('swivel'))),
    { ...row, hangs: tied(named('wire')) },
  ]
}
