import { Plus, RotateCcw, Trash2 } from 'lucide-react'
import { type ConnectionId, MATERIAL_IDS } from '../../../core/catalogue/ids.ts'
import { nextLabelN } from '../../../core/catalogue/labels.ts'
import { nominalDiameterM } from '../../../core/catalogue/materials.ts'
import type { Outfit, WoundLine } from '../../../core/documents/outfit.ts'
import { WOUND_ROLES, type WoundRole } from '../../../core/documents/vocabulary.ts'
import { doubledOnReel, doublingKnots, joinedOnReel, joinsOnReel } from '../../../core/joints/woundJoints.ts'
import { LB } from '../../../core/units/quantities.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { usePreferences, useShow } from '../../settings/preferences.tsx'
import { today } from '../../settings/today.ts'
import { CheckField } from '../../ui/CheckField.tsx'
import { Button, Field, fieldClass, Select, Sheet } from '../../ui/controls.tsx'
import { above } from '../../ui/limits.ts'
import { NumberField } from '../../ui/NumberField.tsx'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { WOUND_NAMES } from '../../words/names.ts'
import { MarksField } from './MarksField.tsx'

type Props = { outfit: Outfit; onChange: (wound: Outfit['wound']) => void }

const NEW: Record<WoundRole, Pick<WoundLine, 'material' | 'strengthN' | 'lengthM'>> = {
  backing: { material: 'mono', strengthN: 20 * LB, lengthM: 50 },
  main: { material: 'braid', strengthN: 30 * LB },
  topShot: { material: 'mono', strengthN: 60 * LB, lengthM: 10 },
}

/** What is wound on, from the top of the spool down to the arbor, with every joint between. */
export function WoundLines({ outfit, onChange }: Props) {
  const catalogue = useCatalogue()
  const { wound } = outfit
  const missing = WOUND_ROLES.filter((role) => wound.every((line) => line.role !== role))
  const add = (role: WoundRole) =>
    onChange(
      joinedOnReel(
        catalogue,
        [...wound, { role, ...NEW[role] }].toSorted((a, b) => WOUND_ROLES.indexOf(a.role) - WOUND_ROLES.indexOf(b.role)),
      ),
    )
  return (
    <Sheet
      title="Lines, from the top down"
      aside={
        <span className="flex flex-wrap gap-1.5">
          {missing.map((role) => (
            <Button key={role} onClick={() => add(role)}>
              <Plus className="size-4" aria-hidden="true" /> {WOUND_NAMES[role]}
            </Button>
          ))}
        </span>
      }
    >
      <div className="grid gap-3">
        {wound
          .map((line, i) => (
            <LayerFields
              key={line.role}
              line={line}
              under={wound[i - 1]}
              fillsNow={wound.find(({ lengthM }) => lengthM === undefined)?.role}
              onChange={(next) => onChange(wound.map((old) => (old === line ? next : old)))}
              {...(line.role === 'main'
                ? {}
                : {
                    onRemove: () =>
                      onChange(
                        joinedOnReel(
                          catalogue,
                          wound.filter((old) => old !== line),
                        ),
                      ),
                  })}
            />
          ))
          .toReversed()}
      </div>
    </Sheet>
  )
}

type LayerProps = {
  line: WoundLine
  under: WoundLine | undefined
  /** The line that fills the rest of the spool. */
  fillsNow: WoundRole | undefined
  onChange: (line: WoundLine) => void
  onRemove?: () => void
}

function LayerFields({ line, under, fillsNow, onChange, onRemove }: LayerProps) {
  const catalogue = useCatalogue()
  const show = useShow()
  const { units } = usePreferences()
  const id = (field: string) => `${line.role}-${field}`
  const set = (change: Partial<WoundLine>) => onChange({ ...line, ...change })
  const name = WOUND_NAMES[line.role]
  const mayFill = fillsNow === undefined || fillsNow === line.role
  return (
    <fieldset className="grid gap-2 border-t border-rule pt-2 first:border-0 first:pt-0">
      <legend className="sr-only">{name}</legend>
      <div className="flex flex-wrap items-center gap-2">
        <strong className="mr-auto">{name}</strong>
        <Button
          tone="quiet"
          title="Wind the line on the other way round: its worn end goes under, and its condition starts again"
          onClick={() => set({ condition: undefined, woundOn: today() })}
        >
          <RotateCcw className="size-4" aria-hidden="true" /> Reverse the line
        </Button>
        {onRemove && (
          <Button tone="quiet" aria-label={`Remove the ${name} off`} title={`Remove the ${name} off`} onClick={onRemove}>
            <Trash2 className="size-4" aria-hidden="true" />
          </Button>
        )}
      </div>
      <div className="grid gap-x-4 gap-y-2 xl:grid-cols-2">
        <Field label="line" htmlFor={id('material')}>
          <Select
            id={id('material')}
            value={line.material}
            onChoose={(next) => set({ material: next })}
            choices={MATERIAL_IDS.map((value) => ({ value, text: catalogue.materials[value].name }))}
          />
        </Field>
        <QuantityField
          label="strength"
          quantity="strength"
          valueSi={line.strengthN}
          check={above(0, 100_000)}
          onChange={(strengthN) => set({ strengthN })}
          step={(strengthN, direction) => nextLabelN(strengthN, direction, units.strength)}
        />
        <QuantityField
          label="length"
          quantity="length"
          valueSi={line.lengthM}
          check={above(0, 5_000)}
          onChange={(lengthM) => set({ lengthM })}
          {...(mayFill ? { placeholder: 'fills the rest', onClear: () => set({ lengthM: undefined }) } : {})}
        />
        <QuantityField
          label="diameter"
          quantity="diameter"
          valueSi={line.diameterM}
          placeholder={`nominal ${show.computed('diameter', nominalDiameterM(catalogue, line.material, line.strengthN))}`}
          check={above(0, 0.02)}
          onChange={(diameterM) => set({ diameterM })}
          onClear={() => set({ diameterM: undefined })}
        />
        <NumberField
          label="condition, %"
          value={line.condition === undefined ? undefined : line.condition * 100}
          least={1}
          most={100}
          placeholder="100 (new)"
          onChange={(value) => set({ condition: value === undefined ? undefined : value / 100 })}
        />
        <Field label="wound on" htmlFor={id('on')}>
          <input
            id={id('on')}
            type="date"
            className={fieldClass}
            value={line.woundOn ?? ''}
            onChange={(event) => set({ woundOn: event.target.value || undefined })}
          />
        </Field>
        <QuantityField
          label="colour every"
          quantity="length"
          valueSi={line.colourEveryM}
          placeholder="one colour"
          check={above(0, 100)}
          onChange={(colourEveryM) => set({ colourEveryM })}
          onClear={() => set({ colourEveryM: undefined })}
        />
        <MarksField marksM={line.marksM} onChange={(marksM) => set({ marksM })} />
        <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
          {line.material === 'braid' && (
            <Tick text="hollow" checked={line.hollow ?? false} onChange={(on) => set({ hollow: on || undefined })} />
          )}
          <Tick text="strength measured" checked={line.pulled ?? false} onChange={(on) => set({ pulled: on || undefined })} />
        </div>
      </div>
      {under && <JointFields line={line} under={under} onChange={onChange} />}
    </fieldset>
  )
}

function Tick({ text, checked, onChange }: { text: string; checked: boolean; onChange: (on: boolean) => void }) {
  return <CheckField label={text} checked={checked} onChange={(checked) => onChange(checked)} />
}

type JointProps = { line: WoundLine; under: WoundLine; onChange: (line: WoundLine) => void }

/** How a line is joined to the one under it: the join, and the knots that double either line for it. */
function JointFields({ line, under, onChange }: JointProps) {
  const catalogue = useCatalogue()
  const names = (ids: readonly ConnectionId[]) => ids.map((value) => ({ value, text: catalogue.connections[value].name }))
  const joins = joinsOnReel(catalogue, under, line)
  const now = line.joint?.connection
  const sideField = (side: 'under' | 'over', name: string) => (
    <Field label={`${name} doubled by`} htmlFor={`${line.role}-${side}`}>
      <Select<ConnectionId | ''>
        id={`${line.role}-${side}`}
        value={line.doubled?.[side]?.connection ?? ''}
        onChoose={(next) => onChange(doubledOnReel(catalogue, under, line, side, next || undefined))}
        choices={[{ value: '', text: 'single strand' }, ...names(doublingKnots(catalogue))]}
      />
    </Field>
  )
  return (
    <div className="grid gap-x-4 gap-y-2 rounded-md bg-well p-2 xl:grid-cols-2">
      <Field label={`to the ${WOUND_NAMES[under.role]}`} htmlFor={`${line.role}-joint`}>
        <Select
          id={`${line.role}-joint`}
          value={now}
          onChoose={(next) => onChange({ ...line, joint: { connection: next } })}
          choices={names(now && !joins.includes(now) ? [now, ...joins] : joins)}
        />
      </Field>
      <NumberField
        label="turns"
        value={line.joint?.turns}
        least={1}
        most={60}
        whole
        placeholder="default"
        onChange={(turns) => line.joint && onChange({ ...line, joint: { ...line.joint, turns } })}
      />
      {sideField('under', WOUND_NAMES[under.role])}
      {sideField('over', WOUND_NAMES[line.role])}
    </div>
  )
}
