import type { ConnectionId } from '../gear/connections.ts'
import type { Material } from '../gear/materials.ts'
import type { Attach, LinePiece } from './schema.ts'

/** Tied or fitted to the end of a piece. */
export const joined = (to: string, connection: ConnectionId, end?: 'near' | 'far'): Attach => ({
  how: 'joined',
  to,
  joint: { connection },
  ...(end ? { end } : {}),
})

/** At a place part-way along a line. */
export const fixedOn = (on: string, atM: number, connection: ConnectionId = 'fitted'): Attach => ({
  how: 'fixed',
  on,
  atM,
  joint: { connection },
})

/** Free on a line between stops. */
export const sliding = (on: string, atM: number, stops: { above?: string | undefined; below?: string | undefined }): Attach => ({
  how: 'sliding',
  on,
  atM,
  stops: {
    ...(stops.above === undefined ? {} : { above: stops.above }),
    ...(stops.below === undefined ? {} : { below: stops.below }),
  },
})

/** One side of a connection: a line, a hook, or any other part. */
export type Side = { material: Material; role?: LinePiece['role'] | undefined } | 'hook' | 'part'

const isWiry = (material: Material) => material === 'wire' || material === 'cable'

/**
 * The connection most people would make between what is above and what is below.
 * @returns undefined where no connection suits both lines: a swivel or a loop goes between.
 * Source: the table of connections; the choice among those that suit is ours.
 */
export function usualConnection(above: Side, below: Side): ConnectionId | undefined {
  const [lineAbove, lineBelow] = [above, below].map((side) => (typeof side === 'object' ? side : undefined))
  if (lineAbove && lineBelow) return betweenLines(lineAbove, lineBelow)
  const line = lineAbove ?? lineBelow
  if (!line) return 'fitted'
  switch (line.material) {
    case 'mono':
    case 'fluoro':
      return above === 'hook' || below === 'hook' ? 'snell' : 'uni'
    case 'braid':
      return 'palomar'
    case 'wire':
      return 'haywire'
    case 'cable':
      return 'crimpLoop'
    case 'cord':
      return 'twoHalfHitches'
  }
}

type LineSide = Exclude<Side, string>

function betweenLines(above: LineSide, below: LineSide): ConnectionId | undefined {
  const materials = [above.material, below.material]
  if (materials.includes('cord')) return undefined
  if (below.role === 'double') return materials.some(isWiry) ? undefined : 'bimini'
  if (materials.some(isWiry)) return 'albright'
  return materials.includes('braid') ? 'fg' : 'doubleUni'
}
