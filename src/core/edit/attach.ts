import type { ConnectionId } from '../catalogue/ids.ts'
import type { Attach } from '../documents/trace.ts'

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
