import { Dialog } from 'radix-ui'
import { differences } from '../../../core/trace/differences.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Button } from '../../ui/controls.tsx'
import { clockTime } from '../../words/clockTime.ts'
import { differenceWords } from '../../words/differenceWords.ts'
import type { Bench } from './useBench.ts'

/** A save that was refused: what is saved elsewhere beside what is here, and the three ways on. Nothing is lost in any. */
export function StaleDialog({ bench, onCopy }: { bench: Bench; onCopy: () => void }) {
  const show = useShow()
  const { stale } = bench
  if (!stale) return null
  const changes = differences(stale.content.trace, bench.content.trace)
  return (
    <Dialog.Root open onOpenChange={(open) => open || bench.dismissStale()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-20 bg-black/50" />
        <Dialog.Content className="fixed z-30 top-1/2 left-1/2 max-h-[90vh] w-[min(34rem,94vw)] -translate-x-1/2 -translate-y-1/2 overflow-auto rounded-lg border border-rule bg-sheet p-5 text-ink">
          <Dialog.Title className="text-lg font-semibold">This trace was saved elsewhere</Dialog.Title>
          <Dialog.Description className="mt-1 text-quiet">
            Revision {stale.revision} was saved at {clockTime(stale.savedAt)}, after the revision {bench.baseRevision} that you
            started from. Both are kept.
          </Dialog.Description>
          <h3 className="mt-3 font-semibold">From that one to yours</h3>
          {changes.length === 0 ? (
            <p className="text-quiet">The parts are the same; only the conditions or the outfit differ.</p>
          ) : (
            <ul className="mt-1 list-disc pl-5">
              {changes.slice(0, 12).map((change) => (
                <li key={`${change.id} ${change.kind === 'changed' ? change.field : change.kind}`}>
                  {differenceWords(change, show)}
                </li>
              ))}
              {changes.length > 12 && <li>and {changes.length - 12} more</li>}
            </ul>
          )}
          <div className="mt-4 flex flex-wrap gap-2">
            <Button tone="strong" onClick={bench.saveOverTheirs}>
              Save mine as revision {stale.revision + 1}
            </Button>
            <Button onClick={bench.takeTheirs}>Take theirs (undo brings mine back)</Button>
            <Button onClick={onCopy}>Keep mine as a new trace</Button>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
