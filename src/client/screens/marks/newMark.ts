import type { Mark } from '../../../core/documents/mark.ts'
import { MARK_VERSION } from '../../../core/documents/versions.ts'

/** A stream that is the same at every hour: a table to be written over. */
const STREAM: Mark['stream'] = Array.from({ length: 13 }, (_, i) => ({
  hour: i - 6,
  springMperS: 0.5,
  neapMperS: 0.25,
  directionDeg: i > 0 && i <= 6 ? 0 : 180,
}))

/** A mark to begin with, of which all but its name has some value. */
export const newMark = (portId: string, timeZone: string, more: Partial<Mark> = {}): Mark => ({
  formatVersion: MARK_VERSION,
  name: 'new mark',
  latitudeDeg: 0,
  longitudeDeg: 0,
  timeZone,
  depthM: 10,
  bed: 'sand',
  method: 'anchor',
  scope: 1.2,
  distanceM: 60,
  weedFactor: 1,
  portId,
  highWaterAfterMin: 0,
  stream: STREAM,
  ...more,
})
