import type { LinkKind } from '../../core/lessons/linkKinds.ts'
import { LB } from '../../core/units/quantities.ts'
import { knotPath } from '../words/knotAddress.ts'

/** A line that a knot is often tested in, where none is given. */
const USUAL_N = 30 * LB

/** Where a knot is tested on a scale. */
export function testAddress({ connection, material = 'mono' }: Extract<LinkKind, { of: 'knot' }>): string {
  const line = knotPath(connection, { lines: [{ material, strengthN: USUAL_N }], turns: undefined }).split('?')[1] ?? ''
  return `/knots/test?knot=${connection}&${line}`
}
