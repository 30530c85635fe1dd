import { BAIT_IDS, HOOK_PATTERN_IDS, MATERIAL_IDS } from '../../../core/catalogue/ids.ts'
import { GEAR_KINDS, type Gear, type GearKind } from '../../../core/documents/gear.ts'
import { GEAR_VERSION } from '../../../core/documents/versions.ts'
import { parseHookSize } from '../../../core/units/hookSize.ts'
import { LB } from '../../../core/units/quantities.ts'
import type { SavedDocument } from '../../api/documents.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { HookToScale } from '../../charts/HookToScale.tsx'
import { DocumentPanel } from '../../documents/DocumentFormFrame.tsx'
import { NameField } from '../../documents/NameField.tsx'
import { useDocumentForm } from '../../documents/useDocumentForm.ts'
import { BaitWeight } from '../../fishing/BaitWeight.tsx'
import { BodyMeasures } from '../../fishing/BodyMeasures.tsx'
import { HookHead } from '../../fishing/HookHead.tsx'
import { HookMeasures } from '../../fishing/HookMeasures.tsx'
import { LureRating } from '../../fishing/LureRating.tsx'
import { useShow } from '../../settings/preferences.tsx'
import { CheckField } from '../../ui/CheckField.tsx'
import { choicesOf, Field, fieldClass, Select } from '../../ui/controls.tsx'
import { above } from '../../ui/limits.ts'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { TextField } from '../../ui/TextField.tsx'
import { useDraftText } from '../../ui/useDraftText.ts'
import { GEAR_KIND_NAMES, usualName } from '../../words/gearWords.ts'
import { ItemStock } from './ItemStock.tsx'
import { StockFields } from './StockFields.tsx'

const common = { formatVersion: GEAR_VERSION, name: '' } as const
const NEW: Record<GearKind, Gear> = {
  line: { ...common, kind: 'line', material: 'mono', strengthN: 30 * LB, lengthM: 100 },
  hook: { ...common, kind: 'hook', pattern: 'circle', size: '2/0' },
  sinker: { ...common, kind: 'sinker', shape: 'bomb', massKg: 0.15 },
  hardware: { ...common, kind: 'hardware', type: 'swivel', size: '4' },
  float: { ...common, kind: 'float', massKg: 0.02 },
  lure: { ...common, kind: 'lure', massKg: 0.06 },
  bait: { ...common, kind: 'bait', bait: 'wholePouting' },
}

const FIELD_NAMES = { name: 'The item' }

type PanelProps = { saved?: SavedDocument<'gear'> | undefined; onClose: () => void }

/** An item of the box, new or owned: its kind, its details, its stock, and a name that is made from them if none is typed. */
export function ItemPanel({ saved, onClose }: PanelProps) {
  const catalogue = useCatalogue()
  const show = useShow()
  const form = useDocumentForm({
    kind: 'gear',
    saved,
    blank: NEW.sinker,
    fieldNames: FIELD_NAMES,
    complete: (item) => ({ ...item, name: item.name.trim() || usualName(catalogue, item, show) }),
    onSaved: onClose,
  })
  const { content: item, replace } = form
  return (
    <DocumentPanel
      of={form}
      onClose={onClose}
      title={saved ? saved.content.name : 'New item in the box'}
      about="The bench, the tide plan and batches choose from the box."
    >
      {!saved && (
        <Field label="kind" htmlFor="item-kind">
          <Select
            id="item-kind"
            value={item.kind}
            onChoose={(next) => replace({ ...NEW[next], name: item.name })}
            choices={GEAR_KINDS.map((value) => ({ value, text: GEAR_KIND_NAMES[value] }))}
          />
        </Field>
      )}
      <KindFields key={item.kind} item={item} onChange={replace} />
      <NameField
        id="item-name"
        name={item.name}
        placeholder={usualName(catalogue, item, show)}
        onChange={(name) => replace({ ...item, name })}
      />
      <StockFields item={item} onChange={replace} />
      {saved && <ItemStock itemId={saved.id} item={item} />}
    </DocumentPanel>
  )
}

type FieldsProps<G extends Gear> = { item: G; onChange: (item: G) => void }

function KindFields({ item, onChange }: FieldsProps<Gear>) {
  const catalogue = useCatalogue()
  switch (item.kind) {
    case 'line':
      return <LineFields item={item} onChange={onChange} />
    case 'hook':
      return <HookFields item={item} onChange={onChange} />
    case 'hardware':
      return <HardwareFields item={item} onChange={onChange} />
    case 'sinker':
      return (
        <>
          <WeightField item={item} onChange={onChange} />
          <Field label="shape" htmlFor="item-shape">
            <Select
              id="item-shape"
              value={item.shape}
              onChoose={(next) => onChange({ ...item, shape: next })}
              choices={choicesOf(catalogue.sinkers)}
            />
          </Field>
          <Field label="catalogue number" htmlFor="item-number" hint="if you know it by one">
            <input
              id="item-number"
              className={fieldClass}
              value={item.number ?? ''}
              maxLength={10}
              placeholder="none"
              onChange={({ target }) => onChange({ ...item, number: target.value.trimStart() || undefined })}
            />
          </Field>
          <Field label="made of" htmlFor="item-metal">
            <Select
              id="item-metal"
              value={item.metal ?? 'lead'}
              onChoose={(next) => onChange({ ...item, metal: next })}
              choices={choicesOf(catalogue.sinkerMetals)}
            />
          </Field>
        </>
      )
    case 'lure':
      return (
        <>
          <WeightField item={item} onChange={onChange} />
          <BodyMeasures body={item} onChange={(change) => onChange({ ...item, ...change })} />
          <LureRating lure={item} onChange={(change) => onChange({ ...item, ...change })} />
          <CheckField
            label="spins when retrieved"
            checked={item.spins ?? false}
            onChange={(spins) => onChange({ ...item, spins: spins || undefined })}
          />
        </>
      )
    case 'bait':
      return (
        <>
          <Field label="bait" htmlFor="item-bait">
            <Select
              id="item-bait"
              value={item.bait}
              onChoose={(next) => onChange({ ...item, bait: next })}
              choices={BAIT_IDS.map((value) => ({ value, text: catalogue.baits[value].name }))}
            />
          </Field>
          <BaitWeight
            massKg={item.massKg}
            usualKg={catalogue.baits[item.bait].massKg}
            onChange={(massKg) => onChange({ ...item, massKg })}
          />
          <BodyMeasures body={item} onChange={(change) => onChange({ ...item, ...change })} />
        </>
      )
    case 'float':
      return <WeightField item={item} onChange={onChange} />
  }
}

function WeightField<G extends Extract<Gear, { massKg: number }>>({ item, onChange }: FieldsProps<G>) {
  return (
    <QuantityField
      label="weight"
      quantity="mass"
      valueSi={item.massKg}
      check={above(0, 50)}
      onChange={(massKg) => onChange({ ...item, massKg })}
    />
  )
}

function LineFields({ item, onChange }: FieldsProps<Extract<Gear, { kind: 'line' }>>) {
  const { materials } = useCatalogue()
  return (
    <>
      <Field label="material" htmlFor="item-material">
        <Select
          id="item-material"
          value={item.material}
          onChoose={(next) => onChange({ ...item, material: next })}
          choices={MATERIAL_IDS.map((value) => ({ value, text: materials[value].name }))}
        />
      </Field>
      <QuantityField
        label="strength"
        quantity="strength"
        valueSi={item.strengthN}
        check={above(0, 100_000)}
        onChange={(strengthN) => onChange({ ...item, strengthN })}
      />
      <QuantityField
        label="diameter"
        quantity="diameter"
        valueSi={item.diameterM}
        placeholder="nominal"
        check={above(0, 0.02)}
        onChange={(diameterM) => onChange({ ...item, diameterM })}
        onClear={() => onChange({ ...item, diameterM: undefined })}
      />
      <QuantityField
        label="on the spool"
        quantity="length"
        valueSi={item.lengthM}
        check={above(0, 5_000)}
        onChange={(lengthM) => onChange({ ...item, lengthM })}
      />
    </>
  )
}

function HookFields({ item, onChange }: FieldsProps<Extract<Gear, { kind: 'hook' }>>) {
  const { hooks } = useCatalogue()
  const draft = useDraftText({
    shown: item.size,
    value: item.size,
    read: (typed) => {
      const parsed = parseHookSize(typed)
      return parsed.ok ? { ok: true, value: typed.trim() } : parsed
    },
    commit: (size) => onChange({ ...item, size }),
  })
  return (
    <>
      <Field label="pattern" htmlFor="item-pattern">
        <Select
          id="item-pattern"
          value={item.pattern}
          onChoose={(next) => onChange({ ...item, pattern: next })}
          choices={HOOK_PATTERN_IDS.map((value) => ({ value, text: hooks.patterns[value].name }))}
        />
      </Field>
      <TextField label="size" draft={draft} hint="2/0 is large, 2 is small" />
      <HookMeasures hook={item} onChange={(change) => onChange({ ...item, ...change })} />
      <HookHead hook={item} onChange={(change) => onChange({ ...item, ...change })} />
      <HookToScale {...item} />
    </>
  )
}

function HardwareFields({ item, onChange }: FieldsProps<Extract<Gear, { kind: 'hardware' }>>) {
  const { hardware } = useCatalogue()
  const show = useShow()
  const { sizes } = hardware[item.type]
  return (
    <>
      <Field label="what" htmlFor="item-type">
        <Select
          id="item-type"
          value={item.type}
          onChoose={(type) => onChange({ ...item, type, size: hardware[type].sizes[0]?.size, strengthN: undefined })}
          choices={choicesOf(hardware)}
        />
      </Field>
      {sizes.length > 0 && (
        <>
          <Field label="size" htmlFor="item-size" hint="a smaller number is a larger swivel">
            <Select
              id="item-size"
              value={item.size ?? ''}
              onChoose={(next) => onChange({ ...item, size: next || undefined })}
              choices={[{ value: '', text: 'unknown' }, ...sizes.map(({ size }) => ({ value: size, text: size }))]}
            />
          </Field>
          <QuantityField
            label="strength"
            quantity="strength"
            valueSi={item.strengthN}
            placeholder={nominalText(sizes.find(({ size }) => size === item.size)?.strengthN, (n) =>
              show.computed('strength', n),
            )}
            check={above(0, 100_000)}
            onChange={(strengthN) => onChange({ ...item, strengthN })}
            onClear={() => onChange({ ...item, strengthN: undefined })}
          />
        </>
      )}
    </>
  )
}

const nominalText = (strengthN: number | undefined, words: (n: number) => string) =>
  strengthN === undefined ? 'see its packet' : `nominal ${words(strengthN)}`
