import { useEffect, useRef, useState } from 'react'
import { analysePull, type PullAnalysis, type Reading } from '../../../core/learning/pullCurve.ts'
import type { Sample } from '../../../shared/scale.ts'
import type { LineScale } from '../../scale/lineScale.ts'

/** A pull: none, running with what it shows so far, or cut off before it was over. */
export type PullState =
  | { is: 'ready' }
  | { is: 'pulling'; readings: Reading[]; seen: PullAnalysis }
  | { is: 'cut'; message: string }

const READY: PullState = { is: 'ready' }
/** Under this nothing hung on the scale, N. */
const MIN_N = 1

/** One pull at a time on a scale; its readings are handed on when it is over. A pull that was cut off counts as none. */
export function usePull() {
  const [state, setState] = useState<PullState>(READY)
  const running = useRef<AbortController>(undefined)
  useEffect(() => () => running.current?.abort(), [])
  const start = (scale: LineScale, sample: Sample, onOver: (readings: Reading[]) => void) => {
    running.current?.abort()
    const stop = new AbortController()
    running.current = stop
    const readings: Reading[] = []
    setState({ is: 'pulling', readings: [], seen: analysePull([]) })
    const over = () => {
      stop.abort()
      if (analysePull(readings).peakN < MIN_N) return setState({ is: 'cut', message: 'Nothing hung on the scale.' })
      setState(READY)
      onOver(readings)
    }
    scale
      .pull(
        sample,
        (reading) => {
          if (stop.signal.aborted) return
          readings.push(reading)
          const seen = analysePull(readings)
          if (seen.broke) over()
          else setState({ is: 'pulling', readings: [...readings], seen })
        },
        stop.signal,
      )
      .then(() => stop.signal.aborted || over())
      .catch((reason: unknown) => {
        // Broken, given up, or another pull begun: there is nothing to say.
        if (stop.signal.aborted) return
        setState({ is: 'cut', message: reason instanceof Error ? reason.message : String(reason) })
      })
  }
  return {
    state,
    start,
    stop: () => {
      running.current?.abort()
      setState(READY)
    },
  }
}
