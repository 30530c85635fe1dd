import { useEffect, useRef, useState } from 'react'
import { type PullSeen, type Reading, seenIn } from '../../../core/learning/pullCurve.ts'
import type { Sample } from '../../../shared/scale.ts'
import { newId } from '../../api/newId.ts'
import type { LineScale } from '../../scale/lineScale.ts'

/** A pull: running, over with what it shows, or cut off before it was. */
export type PullState =
  | { is: 'ready' }
  | { is: 'pulling' | 'over'; id: string; readings: Reading[]; seen: PullSeen }
  | { is: 'cut'; message: string }

const READY: PullState = { is: 'ready' }

/** One pull at a time on a scale. A pull that was cut off counts as none; each has an id of its own from its start. */
export function usePull() {
  const [state, setState] = useState<PullState>(READY)
  const running = useRef<AbortController>(undefined)
  useEffect(() => () => running.current?.abort(), [])
  const start = (scale: LineScale, sample: Sample) => {
    running.current?.abort()
    const stop = new AbortController()
    running.current = stop
    const id = newId()
    const readings: Reading[] = []
    setState({ is: 'pulling', id, readings: [], seen: seenIn([]) })
    const over = () => setState({ is: 'over', id, readings: [...readings], seen: seenIn(readings) })
    scale
      .pull(
        sample,
        (reading) => {
          if (stop.signal.aborted) return
          readings.push(reading)
          const seen = seenIn(readings)
          if (!seen.broke) return setState({ is: 'pulling', id, readings: [...readings], seen })
          over()
          stop.abort()
        },
        stop.signal,
      )
      .then(over)
      .catch((reason: unknown) => {
        // Broken, given up, or another pull begun: there is nothing to say.
        if (stop.signal.aborted) return
        setState({ is: 'cut', message: reason instanceof Error ? reason.message : String(reason) })
      })
  }
  return {
    state,
    start,
    clear: () => {
      running.current?.abort()
      setState(READY)
    },
  }
}
