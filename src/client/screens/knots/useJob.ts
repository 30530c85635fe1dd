import { useEffect, useRef, useState } from 'react'

type State<T> = { is: 'idle' } | { is: 'running'; share: number } | { is: 'done'; result: T } | { is: 'failed'; message: string }

/** A piece of work beside the page: begun when it is asked for, stopped when it is not wanted, with how far it is. */
export function useJob<T>(work: (signal: AbortSignal, onProgress: (share: number) => void) => Promise<T>) {
  const [state, setState] = useState<State<T>>({ is: 'idle' })
  const running = useRef<AbortController>(undefined)
  useEffect(() => () => running.current?.abort(), [])
  return {
    state,
    start: () => {
      running.current?.abort()
      const over = new AbortController()
      running.current = over
      setState({ is: 'running', share: 0 })
      work(over.signal, (share) => !over.signal.aborted && setState({ is: 'running', share }))
        .then((result) => !over.signal.aborted && setState({ is: 'done', result }))
        .catch((reason: unknown) => {
          if (!over.signal.aborted) setState({ is: 'failed', message: reason instanceof Error ? reason.message : String(reason) })
        })
    },
    stop: () => {
      running.current?.abort()
      setState({ is: 'idle' })
    },
  }
}
