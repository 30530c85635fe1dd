import { CoreError } from '../../errors.ts'
import { findRoot } from '../../math/findRoot.ts'
import { waterLine } from '../../physics/water/line.ts'
import { lineWantedM } from '../lineWanted.ts'
import { atStream, LINE_TOLERANCE } from './minimumSinker.ts'
import type { Settling } from './settling.ts'
import { lineInput } from './solverInputs.ts'

/** The least depth that a line is followed to, m. */
const MIN_M = 0.05
/** Streams between which it is asked what it sinks in, m/s. */
const [MIN_MPERS, MAX_MPERS] = [1e-3, 6]

/** How what is not meant to hold fishes on so much line: how deep, and the stream up to which it still reaches the bed. */
export type FreeLine = { lineOutM: number; depthM: number; reachesBed: boolean; sinksToMperS?: number }

/**
 * The free line as it hangs in an even stream: the depth at which the line that is out is just what it takes, or the whole water.
 * @returns undefined for what does not sink.
 */
export function freeLineOf(settling: Settling): FreeLine | undefined {
  try {
    return sunk(settling)
  } catch (error) {
    if (error instanceof CoreError) return undefined
    throw error
  }
}

function sunk(settling: Settling): FreeLine {
  const { water } = settling
  const lineOutM = lineWantedM(settling, water)
  const over = overFor(settling, lineOutM)
  const reachesBed = over(water.depthM) <= 0
  const depthM = reachesBed ? water.depthM : over(MIN_M) > 0 ? 0 : findRoot(over, MIN_M, water.depthM, 1e-3)
  const atBed = (streamMperS: number) => overFor(atStream(settling, streamMperS), lineOutM)(water.depthM)
  if (atBed(MIN_MPERS) > 0) return { lineOutM, depthM, reachesBed }
  const sinksToMperS = atBed(MAX_MPERS) <= 0 ? MAX_MPERS : findRoot(atBed, MIN_MPERS, MAX_MPERS, 1e-3)
  return { lineOutM, depthM, reachesBed, sinksToMperS }
}

/** At a depth: how far the line that it takes is over the line that is out, as a share; endless where it is never reached. */
function overFor(settling: Settling, lineOutM: number): (depthM: number) => number {
  const input = { ...lineInput(settling), profileExponent: 0 }
  return (depthM) => {
    try {
      return waterLine({ ...input, depthM }, { tolerance: LINE_TOLERANCE }).lineOutM / lineOutM - 1
    } catch (error) {
      if (error instanceof CoreError && error.code === 'blown-out') return Number.POSITIVE_INFINITY
      throw error
    }
  }
}
