import { Copy, Hammer, Trash2, Undo2 } from 'lucide-react'
import { Link } from 'react-router'
import { familyName } from '../../../core/catalogue/familyIds.ts'
import type { Outfit } from '../../../core/documents/outfit.ts'
import type { Trace } from '../../../core/documents/trace.ts'
import { MOMENT_NAMES } from '../../../core/moments/moments.ts'
import type { SavedTrace } from '../../api/documents.ts'
import { MiniReach } from '../../charts/Reach.tsx'
import { useMiniReach } from '../../charts/useReach.ts'
import type { Judged } from '../../moments/judged.ts'
import { momentName } from '../../moments/momentViews.ts'
import { Button, buttonClass } from '../../ui/controls.tsx'
import { VerdictMark } from '../../ui/VerdictMark.tsx'
import type { TraceActions } from './useTraceActions.ts'

type Props = {
  saved: SavedTrace
  outfit: Outfit | undefined
  judged: Judged
  bin: boolean
  actions: TraceActions
  picked: boolean
  onPick: () => void
}

export function TraceCard({ saved, outfit, judged, bin, actions, picked, onPick }: Props) {
  const { trace } = saved.content
  return (
    <li className="grid gap-x-4 gap-y-2 rounded-lg border border-rule bg-sheet p-3 sm:grid-cols-[minmax(0,1fr)_9.5rem]">
      <div className="min-w-0">
        <h2 className="font-semibold">
          {bin ? (
            trace.name
          ) : (
            <Link to={`/traces/${saved.id}`} className="hover:underline">
              {trace.name}
            </Link>
          )}
        </h2>
        <p className="text-sm text-quiet">
          {familyName(trace.family)}
          {outfit && ` · ${outfit.name}`}
          {trace.tags?.map((tag) => (
            <span key={tag} className="ml-1.5 rounded bg-well px-1.5">
              {tag}
            </span>
          ))}
        </p>
        {!bin && (
          <label className="inline-flex min-h-8 items-center gap-1.5 text-sm text-quiet">
            <input type="checkbox" className="size-5" checked={picked} onChange={onPick} aria-label={`Compare ${trace.name}`} />
            compare
          </label>
        )}
        <div className="mt-1 max-w-xl">{outfit && <SmallReach trace={trace} outfit={outfit} />}</div>
      </div>
      <div className="flex flex-col justify-between gap-2 max-sm:flex-row max-sm:flex-wrap">
        {judged.ok ? (
          <ul className="text-sm max-sm:flex max-sm:flex-wrap max-sm:gap-x-4">
            {MOMENT_NAMES.map((name) => {
              const moment = judged.value.moments[name]
              return (
                <li key={name} className="flex justify-between gap-2">
                  {momentName(name)}{' '}
                  {moment ? (
                    <VerdictMark verdict={moment.verdict} />
                  ) : (
                    <span className="text-quiet">{name === 'cast' ? 'not cast' : '–'}</span>
                  )}
                </li>
              )
            })}
          </ul>
        ) : (
          <p className="text-sm text-fails">{judged.message}</p>
        )}
        <div className="flex justify-end gap-1">
          {bin ? (
            <Button onClick={() => actions.restore(saved)}>
              <Undo2 className="size-4" /> Take back
            </Button>
          ) : (
            <>
              <Link
                to={`/traces/${saved.id}/build`}
                className={buttonClass('quiet')}
                aria-label={`Build sheet of ${trace.name}`}
                title="Build sheet"
              >
                <Hammer className="size-4" />
              </Link>
              <Button
                tone="quiet"
                onClick={() => actions.duplicate(saved)}
                aria-label={`Duplicate ${trace.name}`}
                title="Duplicate"
              >
                <Copy className="size-4" />
              </Button>
              <Button tone="quiet" onClick={() => actions.bin(saved)} aria-label={`Put ${trace.name} in the bin`} title="Bin">
                <Trash2 className="size-4" />
              </Button>
            </>
          )}
        </div>
      </div>
    </li>
  )
}

function SmallReach({ trace, outfit }: { trace: Trace; outfit: Outfit }) {
  return <MiniReach trace={trace} outfit={outfit} layout={useMiniReach(trace, outfit)} />
}
