import { DifferenceList } from '../../documents/DifferenceList.tsx'
import { useShow } from '../../settings/preferences.tsx'
import { Button } from '../../ui/controls.tsx'
import { Panel } from '../../ui/Panel.tsx'
import type { Bench } from './useBench.ts'

/** A save that was refused: what is saved elsewhere beside what is here, and the three ways on. Nothing is lost in any. */
export function StaleDialog({ bench, onCopy }: { bench: Bench; onCopy: () => void }) {
  const { stale } = bench
  const show = useShow()
  if (!stale) return null
  return (
    <Panel
      open
      onOpenChange={(open) => open || bench.dismissStale()}
      title="This trace was saved elsewhere"
      about={`Revision ${stale.revision} was saved at ${show.clock(Date.parse(stale.savedAt))}, after the revision ${bench.baseRevision} that you started from. Both are kept.`}
    >
      <h3 className="mt-3 font-semibold">Changes from that version to yours</h3>
      <DifferenceList from={stale.content} to={bench.content} />
      <div className="mt-4 flex flex-wrap gap-2">
        <Button tone="strong" onClick={bench.saveOverTheirs}>
          Save mine as revision {stale.revision + 1}
        </Button>
        <Button onClick={bench.takeTheirs}>Use theirs (undo returns to mine)</Button>
        <Button onClick={onCopy}>Save mine as a new trace</Button>
      </div>
    </Panel>
  )
}
