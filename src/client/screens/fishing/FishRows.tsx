import { type Happening, HOOKED, SIZE_CLASSES } from '../../../core/documents/tripEvent.ts'
import type { SavedFish } from '../../api/documents.ts'
import { ButtonRow } from './ButtonRow.tsx'

export type Fish = Extract<Happening, { type: 'fish' }>

/** So many kinds are offered; the rest are corrected by the trip’s fish. */
const MAX_KINDS = 9

type Props = {
  fish: readonly SavedFish[]
  caught: Fish
  hooks: readonly { id: string; name: string }[]
  onChange: (caught: Fish) => void
}

/** What is said of a fish. */
export function FishRows({ fish, caught, hooks, onChange }: Props) {
  const kinds = [...new Set([caught.name, ...fish.slice(0, MAX_KINDS).map(({ content }) => content.name)])].filter(Boolean)
  return (
    <>
      <ButtonRow
        label="kind"
        choices={kinds.map((name) => ({ value: name, name }))}
        value={caught.name}
        onChoose={(name) => {
          const kind = fish.find(({ content }) => content.name === name)
          onChange({ ...caught, name, isKept: kind ? !kind.content.released : caught.isKept })
        }}
      />
      <ButtonRow
        label="size"
        choices={SIZE_CLASSES.map((size) => ({ value: size, name: size }))}
        value={caught.size}
        onChoose={(size) => onChange({ ...caught, size })}
      />
      <ButtonRow
        label="what became of it"
        choices={[
          { value: 'returned', name: 'returned' },
          { value: 'kept', name: 'kept' },
        ]}
        value={caught.isKept ? 'kept' : 'returned'}
        onChoose={(now) => onChange({ ...caught, isKept: now === 'kept' })}
      />
      <ButtonRow
        label="hooked"
        choices={HOOKED.map((hooked) => ({ value: hooked, name: hooked }))}
        value={caught.hooked}
        onChoose={(hooked) => onChange({ ...caught, hooked })}
      />
      {hooks.length > 1 && (
        <ButtonRow
          label="on"
          choices={hooks.map(({ id, name }) => ({ value: id, name }))}
          value={caught.hook}
          onChoose={(hook) => onChange({ ...caught, hook })}
        />
      )}
    </>
  )
}
