import { useState } from 'react'
import { MATERIAL_IDS } from '../../core/catalogue/ids.ts'
import { nextLabelN } from '../../core/catalogue/labels.ts'
import { MAX_NAME } from '../../core/documents/vocabulary.ts'
import { type KnownOfOutfit, quickOutfit } from '../../core/outfits/quickOutfit.ts'
import { QUANTITIES } from '../../core/units/quantities.ts'
import type { SavedOutfit } from '../api/documents.ts'
import { useCatalogue } from '../catalogue/useCatalogue.ts'
import { CapacityFields } from '../fishing/CapacityFields.tsx'
import { usePreferences, useShow } from '../settings/preferences.tsx'
import { Button, Field, fieldClass, Select } from '../ui/controls.tsx'
import { above } from '../ui/limits.ts'
import { QuantityField } from '../ui/QuantityField.tsx'
import { Fault } from '../ui/states.tsx'
import { useNoFaults } from '../ui/useNoFaults.ts'
import { useCreate } from './useCreation.ts'

const USUAL: Omit<KnownOfOutfit, 'name'> = {
  lineN: 30 * QUANTITIES.strength.units.lb,
  material: 'braid',
  rodLengthM: 3,
  capacityLengthM: 250,
  capacityDiameterM: 0.00035,
}

/** One’s own outfit from what anyone knows of it: the line, the rod’s length and what the reel says it holds. */
export function QuickOutfit({ onMade }: { onMade: (saved: SavedOutfit) => void }) {
  const catalogue = useCatalogue()
  const show = useShow()
  const { units } = usePreferences()
  const [known, setKnown] = useState(USUAL)
  const [typed, setTyped] = useState<string>()
  const { ref, complaint, submitIfValid } = useNoFaults<HTMLFormElement>()
  const set = (change: Partial<typeof known>) => setKnown((old) => ({ ...old, ...change }))
  const name = typed?.trim() || `${show.entered('strength', known.lineN)} ${catalogue.materials[known.material].name} outfit`
  const make = useCreate('outfits', { onMade })
  return (
    <form
      ref={ref}
      className="grid gap-2"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        submitIfValid(() => make.create(quickOutfit({ ...known, name })))
      }}
    >
      <QuantityField
        label="line class"
        quantity="strength"
        valueSi={known.lineN}
        check={above(0, 100_000)}
        onChange={(lineN) => set({ lineN })}
        step={(lineN, direction) => nextLabelN(lineN, direction, units.strength)}
        hint="see the spool label"
      />
      <Field label="line" htmlFor="quick-material">
        <Select
          id="quick-material"
          value={known.material}
          onChoose={(next) => set({ material: next })}
          choices={MATERIAL_IDS.map((value) => ({ value, text: catalogue.materials[value].name }))}
        />
      </Field>
      <CapacityFields label="reel holds" of={known} onChange={set} />
      <QuantityField
        label="rod’s length"
        quantity="length"
        valueSi={known.rodLengthM}
        check={(m) => (m >= 0.3 && m <= 10 ? undefined : 'From 0.3 to 10 m.')}
        onChange={(rodLengthM) => set({ rodLengthM })}
      />
      <Field label="name" htmlFor="quick-name">
        <input
          id="quick-name"
          className={fieldClass}
          maxLength={MAX_NAME}
          placeholder={name}
          value={typed ?? ''}
          onChange={(event) => setTyped(event.target.value)}
        />
      </Field>
      <p className="text-sm text-quiet">
        The rest is assumed: rod rating, highest drag, spool size, and a full spool. You can change it later.
      </p>
      {(complaint ?? make.error?.message) && <Fault>{complaint ?? make.error?.message}</Fault>}
      <Button type="submit" tone="strong" className="justify-self-end" disabled={make.isPending}>
        Create outfit
      </Button>
    </form>
  )
}
