import { Printer } from 'lucide-react'
import { Link, useNavigate } from 'react-router'
import { estimatedRadii } from '../../../core/catalogue/reels.ts'
import type { Outfit } from '../../../core/documents/outfit.ts'
import type { SavedOutfit } from '../../api/documents.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { DocumentFormFrame } from '../../documents/DocumentFormFrame.tsx'
import { NameField } from '../../documents/NameField.tsx'
import { useDocumentForm } from '../../documents/useDocumentForm.ts'
import { CapacityFields } from '../../fishing/CapacityFields.tsx'
import { usePreferences, useShow } from '../../settings/preferences.tsx'
import { Button, buttonClass, choicesOf, Field, fieldClass, Select, Sheet } from '../../ui/controls.tsx'
import { above } from '../../ui/limits.ts'
import { NumberField } from '../../ui/NumberField.tsx'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { newTraceAddress } from '../../words/addresses.ts'
import { OutfitLabel } from './OutfitLabel.tsx'
import { SpoolView } from './SpoolView.tsx'
import { WoundLines } from './WoundLines.tsx'

const FIELD_NAMES = {
  name: 'The outfit',
  rod: 'The rod',
  reel: 'The reel',
  wound: 'The line on the reel',
  marking: 'The marking',
}

type Props = { saved: SavedOutfit | undefined; blank: Outfit }

/** Rod, reel and what is wound on it, beside the spool to scale. What is typed is kept in this browser until it is saved. */
export function OutfitForm({ saved, blank }: Props) {
  const navigate = useNavigate()
  usePageTitle('Outfit', saved?.content.name ?? 'New')
  const form = useDocumentForm({
    kind: 'outfits',
    saved,
    blank,
    fieldNames: FIELD_NAMES,
    onSaved: () => void navigate('/gear'),
  })
  const { content: outfit, change } = form
  return (
    <DocumentFormFrame
      of={form}
      title={saved ? saved.content.name : 'New outfit'}
      back={{ to: '/gear', text: 'All outfits' }}
      actions={
        <>
          {saved && (
            <Link to={newTraceAddress({ outfit: saved.id })} className={buttonClass()}>
              Make a trace on it
            </Link>
          )}
          <Button tone="quiet" onClick={() => window.print()}>
            <Printer className="size-4" aria-hidden="true" /> Print label
          </Button>
        </>
      }
    >
      <OutfitLabel outfit={outfit} />
      <div className="no-print grid grid-cols-[minmax(0,1fr)] items-start gap-3 lg:grid-cols-2">
        <div className="grid gap-3">
          <Sheet title="Name">
            <div className="grid gap-2">
              <NameField id="outfit-name" name={outfit.name} onChange={(name) => change({ name })} />
              <Field label="marking" htmlFor="outfit-marking" hint="on rod and reel, such as two red rings">
                <input
                  id="outfit-marking"
                  className={fieldClass}
                  value={outfit.marking ?? ''}
                  maxLength={40}
                  onChange={(event) => change({ marking: event.target.value || undefined })}
                />
              </Field>
            </div>
          </Sheet>
          <RodFields rod={outfit.rod} onChange={(rod) => change({ rod })} />
          <ReelFields reel={outfit.reel} onChange={(reel) => change({ reel })} />
        </div>
        <div className="grid gap-3">
          <SpoolView outfit={outfit} />
          <WoundLines outfit={outfit} onChange={(wound) => change({ wound })} />
        </div>
      </div>
    </DocumentFormFrame>
  )
}

function RodFields({ rod, onChange }: { rod: Outfit['rod']; onChange: (rod: Outfit['rod']) => void }) {
  const { rodActions } = useCatalogue()
  const set = (change: Partial<Outfit['rod']>) => onChange({ ...rod, ...change })
  return (
    <Sheet title="Rod">
      <div className="grid gap-2">
        <QuantityField
          label="length"
          quantity="length"
          valueSi={rod.lengthM}
          check={(m) => (m >= 0.3 && m <= 10 ? undefined : 'From 0.3 to 10 m.')}
          onChange={(lengthM) => set({ lengthM })}
        />
        <QuantityField
          label="line, from"
          quantity="strength"
          valueSi={rod.ratingLowN}
          check={above(0, 100_000)}
          onChange={(ratingLowN) => set({ ratingLowN })}
        />
        <QuantityField
          label="line, up to"
          quantity="strength"
          valueSi={rod.ratingHighN}
          check={above(0, 100_000)}
          onChange={(ratingHighN) => set({ ratingHighN })}
        />
        <QuantityField
          label="casts, from"
          quantity="mass"
          valueSi={rod.castLowKg}
          placeholder="estimated"
          check={above(0, 50)}
          onChange={(castLowKg) => set({ castLowKg })}
          onClear={() => set({ castLowKg: undefined })}
        />
        <QuantityField
          label="casts, up to"
          quantity="mass"
          valueSi={rod.castHighKg}
          placeholder="estimated"
          check={above(0, 50)}
          onChange={(castHighKg) => set({ castHighKg })}
          onClear={() => set({ castHighKg: undefined })}
        />
        <Field label="action" htmlFor="rod-action">
          <Select
            id="rod-action"
            value={rod.action ?? 'medium'}
            onChoose={(next) => set({ action: next })}
            choices={choicesOf(rodActions)}
          />
        </Field>
      </div>
    </Sheet>
  )
}

const inRadius = (m: number) => (m >= 1e-3 && m <= 0.5 ? undefined : 'From 1 mm to 50 cm.')

function ReelFields({ reel, onChange }: { reel: Outfit['reel']; onChange: (reel: Outfit['reel']) => void }) {
  const show = useShow()
  const { units } = usePreferences()
  const inMm = (m: number) => (units.diameter === 'mm' ? `${Math.round(m * 1000)} mm` : show.computed('diameter', m))
  const estimated = estimatedRadii(reel)
  const set = (change: Partial<Outfit['reel']>) => onChange({ ...reel, ...change })
  const across = (radiusM: number | undefined) => (radiusM === undefined ? undefined : 2 * radiusM)
  return (
    <Sheet title="Reel">
      <div className="grid gap-2">
        <CapacityFields label="holds" of={reel} onChange={set} />
        <QuantityField
          label="arbor diameter"
          quantity="diameter"
          valueSi={across(reel.arborRadiusM)}
          placeholder={`estimated: ${inMm(2 * estimated.arborRadiusM)}`}
          check={(m) => inRadius(m / 2)}
          onChange={(m) => set({ arborRadiusM: m / 2, fullRadiusM: reel.fullRadiusM ?? estimated.fullRadiusM })}
          onClear={() => set({ arborRadiusM: undefined, fullRadiusM: undefined })}
        />
        <QuantityField
          label="full diameter"
          quantity="diameter"
          valueSi={across(reel.fullRadiusM)}
          placeholder={`estimated: ${inMm(2 * estimated.fullRadiusM)}`}
          check={(m) => inRadius(m / 2)}
          onChange={(m) => set({ fullRadiusM: m / 2, arborRadiusM: reel.arborRadiusM ?? estimated.arborRadiusM })}
          onClear={() => set({ arborRadiusM: undefined, fullRadiusM: undefined })}
        />
        <QuantityField
          label="highest drag"
          quantity="strength"
          valueSi={reel.highestDragN}
          check={above(0, 100_000)}
          onChange={(highestDragN) => set({ highestDragN })}
        />
        <NumberField
          label="gear ratio"
          value={reel.gearRatio}
          least={0.5}
          most={12}
          placeholder="unknown"
          onChange={(gearRatio) => set({ gearRatio })}
          hint="turns of the spool per turn of the handle"
        />
      </div>
    </Sheet>
  )
}
