import { Link } from 'react-router'
import type { SavedTraceHead } from '../../api/documents.ts'
import { useReadiness } from '../../api/tied.ts'
import { ReadyWords } from '../../documents/ReadyWords.tsx'
import { RunningOut } from '../../documents/RunningOut.tsx'
import { Sheet } from '../../ui/controls.tsx'

/** So many are named at a glance. */
const MAX_NAMED = 3

type Props = {
  /** The traces of the next trip; without one, every design that has tied traces or batches counts. */
  traceIds: readonly string[] | undefined
  heads: readonly SavedTraceHead[]
}

/** Traces ready and short, and what runs out. */
export function GearGlance({ traceIds, heads }: Props) {
  const readiness = useReadiness()
  const shown = (traceIds ? [...new Set(traceIds)] : [...readiness.keys()]).flatMap((id) => {
    const head = heads.find((each) => each.id === id)
    return head ? [{ head, of: readiness.get(id) ?? { ready: 0, short: [] } }] : []
  })
  return (
    <div className="grid gap-3 sm:grid-cols-2">
      <Sheet title="Tied traces">
        {shown.length === 0 && <p className="text-quiet">None yet. A build sheet counts them as you tie.</p>}
        <ul>
          {shown.slice(0, 2 * MAX_NAMED).map(({ head, of }) => (
            <li key={head.id} className="flex flex-wrap items-baseline gap-x-3 border-rule py-1 not-first:border-t">
              <Link to={`/traces/${head.id}/build`} className="mr-auto underline decoration-dotted" translate="no">
                {head.content.name}
              </Link>
              <ReadyWords {...of} />
            </li>
          ))}
        </ul>
      </Sheet>
      <Sheet title="Running out">
        <RunningOut />
      </Sheet>
    </div>
  )
}
