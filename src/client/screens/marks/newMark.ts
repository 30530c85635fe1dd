import { type Mark, markSchema } from '../../../core/mark/mark.ts'
import { METHODS } from '../../../core/trace/waterConditions.ts'

/** A stream that is the same at every hour: a table to be written over. */
const STREAM: Mark['stream'] = Array.from({ length: 13 }, (_, i) => ({
  hour: i - 6,
  springMperS: 0.5,
  neapMperS: 0.25,
  directionDeg: i > 0 && i <= 6 ? 0 : 180,
}))

/** A mark to begin with, of which all but its name has some value. */
export const newMark = (portId: string, timeZone: string, more: Partial<Mark> = {}): Mark => ({
  ...markSchema.parse({
    formatVersion: 1,
    name: 'new mark',
    latitudeDeg: 0,
    longitudeDeg: 0,
    timeZone,
    depthM: 10,
    bed: 'sand',
    method: 'anchor',
    scope: METHODS.anchor.scope,
    portId,
    stream: STREAM,
  }),
  ...more,
})
