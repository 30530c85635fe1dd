import { useState } from 'react'
import { type Happening, HOOKED, SIZE_CLASSES } from '../../../core/documents/tripEvent.ts'
import type { SavedFish } from '../../api/documents.ts'
import { Panel } from '../../ui/Panel.tsx'
import { BigButton } from './BigButton.tsx'

type Fish = Extract<Happening, { type: 'fish' }>
type Props = {
  fish: readonly SavedFish[]
  /** The fish of the trip: chosen from the start. */
  target: SavedFish | undefined
  hooks: readonly { id: string; name: string }[]
  onSave: (fish: Fish) => void
  onClose: () => void
}

const HOOKED_WORDS = { lip: 'lip', deep: 'deep', foul: 'foul' }

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
  const set = (change: Partial<Fish>) => setCaught((old) => ({ ...old, ...change }))
  const ordered = target ? [target, ...fish.filter(({ id }) => id !== target.id)] : fish
  return (
    <Panel open onOpenChange={onClose} title="Fish" about="Change what differs, then save.">
      <div className="mt-3 grid gap-3">
        <BigButton name="Save" className="border-tide! bg-tide! text-on-tide!" data-focus-first onClick={() => onSave(caught)} />
        <Row label="kind">
          {ordered.slice(0, 9).map(({ id, content }) => (
            <BigButton
              key={id}
              name={content.name}
              isChosen={caught.name === content.name}
              onClick={() => set({ name: content.name, isKept: !content.released })}
            />
          ))}
        </Row>
        <Row label="size">
          {SIZE_CLASSES.map((size) => (
            <BigButton key={size} name={size} isChosen={caught.size === size} onClick={() => set({ size })} />
          ))}
        </Row>
        <Row label="what became of it">
          <BigButton name="returned" isChosen={!caught.isKept} onClick={() => set({ isKept: false })} />
          <BigButton name="kept" isChosen={caught.isKept} onClick={() => set({ isKept: true })} />
        </Row>
        <Row label="hooked">
          {HOOKED.map((hooked) => (
            <BigButton
              key={hooked}
              name={HOOKED_WORDS[hooked]}
              isChosen={caught.hooked === hooked}
              onClick={() => set({ hooked })}
            />
          ))}
        </Row>
        {hooks.length > 1 && (
          <Row label="on">
            {hooks.map(({ id, name }) => (
              <BigButton key={id} name={name} isChosen={caught.hook === id} onClick={() => set({ hook: id })} />
            ))}
          </Row>
        )}
      </div>
    </Panel>
  )
}

function Row({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <fieldset>
      <legend className="text-sm text-quiet">{label}</legend>
      <div className="grid grid-cols-3 gap-2">{children}</div>
    </fieldset>
  )
}
