import { useState } from 'react'
import type { Happening } from '../../../core/documents/tripEvent.ts'
import type { SavedFish } from '../../api/documents.ts'
import { Panel } from '../../ui/Panel.tsx'
import { BigButton } from './BigButton.tsx'
import { type Fish, FishRows } from './FishRows.tsx'

type Props = {
  fish: readonly SavedFish[]
  /** The fish of the trip: chosen from the start. */
  target: SavedFish | undefined
  hooks: readonly { id: string; name: string }[]
  onSave: (fish: Extract<Happening, { type: 'fish' }>) => void
  onClose: () => void
}

/** A fish: everything is set as usual, so that two touches log one; nothing is typed. */
export function FishPanel({ fish, target, hooks, onSave, onClose }: Props) {
  const first = target ?? fish[0]
  const [caught, setCaught] = useState<Fish>({
    type: 'fish',
    name: first?.content.name ?? '',
    size: 'usual',
    isKept: first ? !first.content.released : false,
    hooked: 'lip',
    ...(hooks.length === 1 ? { hook: hooks[0]!.id } : {}),
  })
  const ordered = target ? [target, ...fish.filter(({ id }) => id !== target.id)] : fish
  return (
    <Panel open onOpenChange={onClose} title="Fish" about="Change what differs, then save.">
      <div className="mt-3 grid gap-3">
        <BigButton name="Save" className="border-tide! bg-tide! text-on-tide!" data-focus-first onClick={() => onSave(caught)} />
        <FishRows fish={ordered} caught={caught} hooks={hooks} onChange={setCaught} />
      </div>
    </Panel>
  )
}
