import type { Mark } from '../../../core/documents/mark.ts'
import { MARK_VERSION } from '../../../core/documents/versions.ts'
import { assumedStream, STREAM_WORDS } from '../../../core/plan/assumedStream.ts'

/** A mark to begin with: its tide is unknown, and its current assumed. */
export const newMark = (timeZone: string, more: Partial<Mark> = {}): Mark => ({
  formatVersion: MARK_VERSION,
  name: 'new mark',
  timeZone,
  depthM: 10,
  bed: 'sand',
  method: 'shore',
  scope: 1.15,
  distanceM: 60,
  weedFactor: 1,
  highWaterAfterMin: 0,
  streamFrom: 'words',
  stream: assumedStream(STREAM_WORDS.walks.mPerS, false),
  ...more,
})
