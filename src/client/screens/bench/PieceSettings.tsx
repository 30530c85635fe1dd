import type { Catalogue } from '../../../core/catalogue/catalogue.ts'
import { isLine } from '../../../core/documents/pieces.ts'
import type { HardwarePiece, Piece } from '../../../core/documents/trace.ts'
import { clipFor, withClip, withFields, withoutClip } from '../../../core/edit/changes.ts'
import type { Rig } from '../../../core/setup/setup.ts'
import { BaitWeight } from '../../fishing/BaitWeight.tsx'
import { BodyMeasures } from '../../fishing/BodyMeasures.tsx'
import { LureRating } from '../../fishing/LureRating.tsx'
import { useShow } from '../../settings/preferences.tsx'
import { CheckField } from '../../ui/CheckField.tsx'
import { choicesOf, Field, Select } from '../../ui/controls.tsx'
import { above } from '../../ui/limits.ts'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { BaitRigging } from './BaitRigging.tsx'
import { HookSettings } from './HookSettings.tsx'
import { LineSettings } from './LineSettings.tsx'
import type { Bench } from './useBench.ts'
import type { Edits } from './useEdits.ts'

type Props = { bench: Bench; edits: Edits; rig: Rig; piece: Piece; ownedSinkersKg: readonly number[] }

/** What can be set of a piece itself, by its role. */
export function PieceSettings({ bench, edits, rig, piece, ownedSinkersKg }: Props) {
  const { trace, catalogue } = rig
  const set = (change: Partial<Piece>, tag?: string) => bench.editTrace((old) => withFields(old, piece.id, change), tag)
  const weight = ({ id, massKg }: { id: string; massKg: number }) => ({
    label: 'weight',
    quantity: 'mass' as const,
    valueSi: massKg,
    check: above(0, 50),
    onChange: (next: number) => set({ massKg: next }, `${id} mass`),
  })
  if (isLine(piece)) return <LineSettings bench={bench} edits={edits} rig={rig} line={piece} />
  switch (piece.role) {
    case 'hook':
      return (
        <HookSettings
          hook={piece}
          onSize={(size) => set({ size }, `${piece.id} size`)}
          onPattern={(pattern) => set({ pattern })}
          onMeasure={(measure) => set(measure, `${piece.id} measure`)}
          onMake={(make) => set(make)}
          onWraps={piece.attach.how === 'sliding' ? (wraps) => set({ wraps }, `${piece.id} wraps`) : undefined}
        />
      )
    case 'sinker':
      return (
        <>
          <QuantityField
            {...weight(piece)}
            sureWithoutUnit={(massKg) => isAmong(ownedSinkersKg, massKg)}
            step={(massKg, direction) => nextOwned(ownedSinkersKg, massKg, direction)}
            hint="steps through your sinkers"
          />
          <Field label="shape" htmlFor="sinker-shape">
            <Select
              id="sinker-shape"
              value={piece.shape}
              onChoose={(next) => set({ shape: next })}
              choices={choicesOf(catalogue.sinkers)}
            />
          </Field>
          <Field label="made of" htmlFor="sinker-metal">
            <Select
              id="sinker-metal"
              value={piece.metal ?? 'lead'}
              onChoose={(next) => set({ metal: next })}
              choices={choicesOf(catalogue.sinkerMetals)}
            />
          </Field>
          <CheckField
            label="a release clip holds it during the cast"
            checked={clipFor(trace, piece.id) !== undefined}
            onChange={(clipped) => bench.editTrace((old) => (clipped ? withClip(old, piece.id) : withoutClip(old, piece.id)))}
          />
        </>
      )
    case 'bait':
      return (
        <>
          <Field label="bait" htmlFor="bait-kind">
            <Select
              id="bait-kind"
              value={piece.bait}
              onChoose={(next) => set({ bait: next })}
              choices={choicesOf(catalogue.baits)}
            />
          </Field>
          <BaitWeight
            massKg={piece.massKg}
            usualKg={catalogue.baits[piece.bait].massKg}
            onChange={(massKg) => set({ massKg }, `${piece.id} mass`)}
          />
          <BodyMeasures body={piece} onChange={(measure) => set(measure, `${piece.id} measure`)} />
          <BaitRigging bench={bench} edits={edits} rig={rig} body={piece} />
        </>
      )
    case 'hardware':
      return <HardwareSize catalogue={catalogue} piece={piece} onChange={(change) => set(change, `${piece.id} strength`)} />
    case 'lure':
      return (
        <>
          <QuantityField {...weight(piece)} />
          <OwnStrength
            strengthN={piece.strengthN}
            placeholder="of rings and hooks"
            onChange={(strengthN) => set({ strengthN }, `${piece.id} strength`)}
          />
          <BodyMeasures body={piece} onChange={(measure) => set(measure, `${piece.id} measure`)} />
          <LureRating lure={piece} onChange={(rated) => set(rated, `${piece.id} rating`)} />
          <CheckField
            label="spins when retrieved"
            checked={piece.spins ?? false}
            onChange={(spins) => set({ spins: spins || undefined })}
          />
          <BaitRigging bench={bench} edits={edits} rig={rig} body={piece} />
        </>
      )
    default:
      return <QuantityField {...weight(piece)} />
  }
}

type SizeProps = {
  catalogue: Catalogue
  piece: HardwarePiece
  onChange: (change: { size?: string; strengthN?: number | undefined }) => void
}

function HardwareSize({ catalogue, piece, onChange }: SizeProps) {
  const show = useShow()
  const { sizes, byLabel } = catalogue.hardware[piece.type]
  if (sizes.length === 0) return <p className="text-quiet">This part carries no load.</p>
  const strength = (placeholder: string, label?: string) => (
    <OwnStrength
      strengthN={piece.strengthN}
      placeholder={placeholder}
      {...(label ? { label } : {})}
      onChange={(strengthN) => onChange({ strengthN })}
    />
  )
  if (byLabel && piece.size === undefined) return strength('see its packet', 'label')
  const nominalN = sizes.find(({ size }) => size === piece.size)?.strengthN
  return (
    <>
      <Field label="size" htmlFor="hardware-size" hint="a smaller number is a larger swivel">
        <Select
          id="hardware-size"
          value={piece.size ?? ''}
          onChoose={(next) => onChange({ size: next })}
          choices={[
            ...(piece.size === undefined ? [{ value: '', text: 'unknown' }] : []),
            ...sizes.map(({ size, strengthN }) => ({ value: size, text: `${size}: ${show.computed('strength', strengthN)}` })),
          ]}
        />
      </Field>
      {strength(nominalN === undefined ? 'see its packet' : `nominal ${show.computed('strength', nominalN)}`)}
    </>
  )
}

type StrengthProps = {
  strengthN: number | undefined
  label?: string
  placeholder: string
  onChange: (strengthN: number | undefined) => void
}

/** A strength of the part’s own, or emptied none. */
function OwnStrength({ strengthN, label = 'strength', placeholder, onChange }: StrengthProps) {
  return (
    <QuantityField
      label={label}
      quantity="strength"
      valueSi={strengthN}
      placeholder={placeholder}
      check={above(0, 100_000)}
      onChange={onChange}
      onClear={() => onChange(undefined)}
    />
  )
}

/** Whether a weight is of the size of those owned, from half the lightest to twice the heaviest; with none owned, of any. */
const isAmong = (ownedKg: readonly number[], massKg: number): boolean =>
  ownedKg.length === 0 || (massKg >= Math.min(...ownedKg) / 2 && massKg <= Math.max(...ownedKg) * 2)

/** The next owned weight up or down; the same where there is none. */
function nextOwned(ownedKg: readonly number[], massKg: number, direction: 1 | -1): number {
  const sorted = [...ownedKg].sort((a, b) => a - b)
  return (
    (direction === 1 ? sorted.find((owned) => owned > massKg * 1.001) : sorted.findLast((owned) => owned < massKg * 0.999)) ??
    massKg
  )
}
