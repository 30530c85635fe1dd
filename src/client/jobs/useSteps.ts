import { startTransition, useEffect, useState } from 'react'
import type { Steps } from '../../core/math/steps.ts'

/** How long one task may take, ms; one step may take longer. */
const TASK_MS = 20

/**
 * The result of work in steps, run in short tasks so that it never holds up the typing.
 * @param begin starts the work, or is undefined where there is none; new work stops the old.
 * @returns the last result, also while newer work runs; undefined before the first.
 */
export function useSteps<T>(begin: (() => Steps<T>) | undefined): T | undefined {
  const [result, setResult] = useState<{ value: T }>()
  useEffect(() => {
    if (!begin) return
    const steps = begin()
    let timer: ReturnType<typeof setTimeout>
    const task = () => {
      const untilMs = performance.now() + TASK_MS
      let step = steps.next()
      while (!step.done && performance.now() < untilMs) step = steps.next()
      const { done, value } = step
      if (done) startTransition(() => setResult({ value }))
      else timer = setTimeout(task)
    }
    timer = setTimeout(task)
    return () => clearTimeout(timer)
  }, [begin])
  return result?.value
}
