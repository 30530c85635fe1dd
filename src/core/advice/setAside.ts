import type { Trace } from '../documents/trace.ts'
import { MAX_FIGURE } from '../documents/vocabulary.ts'
import type { Finding } from './finding.ts'

/** The trace with a finding set aside for a reason. */
export function setAside(trace: Trace, { id, figure }: Finding, reason: string): Trace {
  return {
    ...takenUp(trace, id),
    setAside: [
      ...(trace.setAside ?? []).filter(({ finding }) => finding !== id),
      { finding: id, reason, figure: Math.min(figure, MAX_FIGURE) },
    ],
  }
}

/** The trace with a finding taken up again. */
export function takenUp(trace: Trace, id: string): Trace {
  const { setAside: kept, ...rest } = trace
  const left = (kept ?? []).filter(({ finding }) => finding !== id)
  return left.length > 0 ? { ...rest, setAside: left } : rest
}
