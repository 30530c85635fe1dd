import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query'
import { useMemo, useState } from 'react'
import stableJson from 'safe-stable-stringify'

/** The key of a job’s answer: its whole input, so that an answer is never shown for another input. */
export const jobKey = (name: string, input: unknown): readonly [string, string] => [name, stableJson(input) ?? '']

type Work<Input, Result> = {
  name: string
  /** Memoise it: a new object makes a new key. While it is undefined there is nothing to work out. */
  input: Input | undefined
  run: (input: Input, signal: AbortSignal, onProgress: (share: number) => void) => Promise<Result>
  /** If left out, the job starts at once. */
  startsBy?: 'hand'
  /** Keeps showing the previous answer while the next one is calculated. */
  keepsPrevious?: boolean
}

export type Job<Result> = {
  /** Undefined until there is an answer for the current input. */
  result: Result | undefined
  error: Error | null
  isRunning: boolean
  isStopped: boolean
  /** Share done, 0 to 1. */
  share: number
  start: () => void
  stop: () => void
}

/** Each step of the share renders the page again, so there are few. */
const SHARES = 8

/** A calculation in a worker: its answer belongs to one input, it says how far it is, and it can be stopped and started again. */
export function useJob<Input, Result extends object>({
  name,
  input,
  run,
  startsBy,
  keepsPrevious,
}: Work<Input, Result>): Job<Result> {
  const client = useQueryClient()
  const queryKey = useMemo(() => jobKey(name, input), [name, input])
  const [, key] = queryKey
  const [started, setStarted] = useState<string>()
  const [stopped, setStopped] = useState<string>()
  const [progress, setProgress] = useState({ key, share: 0 })
  const isWanted = input !== undefined && stopped !== key && (startsBy !== 'hand' || started === key)
  const query = useQuery<Result, Error, Result, readonly [string, string]>({
    queryKey,
    // The input is text already; written as JSON once more at each render, it took longer than the rest of it.
    queryKeyHashFn: ([job, text]) => `${job} ${text}`,
    enabled: isWanted,
    queryFn: ({ signal }) =>
      run(input as Input, signal, (done) => {
        const share = Math.floor(done * SHARES) / SHARES
        setProgress((old) => (old.key === key && old.share === share ? old : { key, share }))
      }),
    retry: false,
    staleTime: Number.POSITIVE_INFINITY,
    // A job started by hand may also depend on saved traces, which are not in its key: do not cache it.
    ...(startsBy === 'hand' ? { gcTime: 0 } : {}),
    ...(keepsPrevious ? { placeholderData: keepPreviousData } : {}),
  })
  return {
    result: isWanted ? query.data : undefined,
    error: isWanted ? query.error : null,
    isRunning: isWanted && query.isFetching,
    isStopped: stopped === key,
    share: progress.key === key ? progress.share : 0,
    start: () => {
      setStopped(undefined)
      setStarted(key)
      setProgress({ key, share: 0 })
      if (query.error) void query.refetch()
    },
    stop: () => {
      setStopped(key)
      void client.cancelQueries({ queryKey })
    },
  }
}
