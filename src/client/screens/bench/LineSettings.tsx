import type { Catalogue } from '../../../core/catalogue/catalogue.ts'
import { MATERIAL_IDS } from '../../../core/catalogue/ids.ts'
import { nextLabelN } from '../../../core/catalogue/labels.ts'
import { nominalDiameterM } from '../../../core/catalogue/materials.ts'
import type { LinePiece } from '../../../core/documents/trace.ts'
import { withFields, withLength } from '../../../core/edit/changes.ts'
import { linesOf, restring, restringRole, withStrand, withStrands } from '../../../core/edit/restring.ts'
import type { Rig } from '../../../core/setup/setup.ts'
import { QUANTITIES } from '../../../core/units/quantities.ts'
import { usePreferences, useShow } from '../../settings/preferences.tsx'
import { CheckField } from '../../ui/CheckField.tsx'
import { Button, Field, Select } from '../../ui/controls.tsx'
import { above } from '../../ui/limits.ts'
import { NumberField } from '../../ui/NumberField.tsx'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { lineSpec, ROLE_PLURALS } from '../../words/names.ts'
import type { Bench } from './useBench.ts'
import type { Edits } from './useEdits.ts'

/** Strength, length, material, diameter and wear of a line, and whether it is the weak link. */
type Props = { bench: Bench; edits: Edits; rig: Rig; line: LinePiece }

export function LineSettings({ bench, edits, rig, line }: Props) {
  const { units } = usePreferences()
  const show = useShow()
  const { trace, catalogue } = rig
  const set = (change: Partial<LinePiece>, tag?: string) => bench.editTrace((old) => withFields(old, line.id, change), tag)
  return (
    <>
      <QuantityField
        label="strength"
        quantity="strength"
        valueSi={line.strengthN}
        check={above(0, 100_000)}
        onChange={(strengthN) =>
          bench.editTrace((old) => withStrand(old, line.id, (now) => ({ ...now, strengthN })), `${line.id} strength`)
        }
        step={(strengthN, direction) => nextLabelN(strengthN, direction, units.strength)}
      />
      <QuantityField
        label="finished length"
        quantity="length"
        valueSi={line.lengthM}
        check={above(0, 5_000)}
        onChange={(lengthM) => bench.editTrace((old) => withLength(old, line.id, lengthM), `${line.id} length`)}
      />
      <Field label="material" htmlFor="line-material">
        <Select
          id="line-material"
          value={line.material}
          onChoose={(next) => edits.take(restring(rig, [line], { material: next, strengthN: line.strengthN }, line.id))}
          choices={MATERIAL_IDS.map((material) => ({ value: material, text: catalogue.materials[material].name }))}
        />
      </Field>
      {line.material === 'wire' && (
        <Field label="wire number" htmlFor="wire-number">
          <Select
            id="wire-number"
            value={String(numberOf(rig.catalogue, line) ?? '')}
            onChoose={(next) => {
              const row = catalogue.wireNumbers.find(({ number }) => number === Number(next))
              if (row) set({ strengthN: row.strengthLb * QUANTITIES.strength.units.lb, diameterM: undefined })
            }}
            choices={[
              { value: '', text: 'by strength' },
              ...catalogue.wireNumbers.map(({ number, diameterMm, strengthLb }) => ({
                value: String(number),
                text: `no. ${number}: ${diameterMm} mm, ${strengthLb} lb`,
              })),
            ]}
          />
        </Field>
      )}
      <QuantityField
        label="diameter"
        quantity="diameter"
        valueSi={line.diameterM}
        check={above(0, 0.02)}
        placeholder={`nominal ${show.computed('diameter', nominalDiameterM(catalogue, line.material, line.strengthN))}`}
        onChange={(diameterM) => set({ diameterM }, `${line.id} diameter`)}
        onClear={() => set({ diameterM: undefined })}
      />
      <NumberField
        label="condition, %"
        value={line.condition === undefined ? undefined : line.condition * 100}
        least={1}
        most={100}
        placeholder="100 (new)"
        onChange={(value) => set({ condition: value === undefined ? undefined : value / 100 }, `${line.id} condition`)}
      />
      {line.role !== 'double' && (
        <NumberField
          label="strands"
          whole
          value={line.strands}
          least={1}
          most={4}
          placeholder="1"
          onChange={(strands) => edits.take(withStrands(rig, line.id, strands), `${line.id} strands`)}
        />
      )}
      {line.strands !== undefined && (
        <NumberField
          label="twists per metre"
          value={line.twistPerM}
          least={1}
          most={300}
          placeholder="0, straight"
          onChange={(twistPerM) => set({ twistPerM }, `${line.id} twist`)}
        />
      )}
      {line.material === 'braid' && (
        <CheckField
          label="hollow, can be spliced"
          checked={line.hollow ?? false}
          onChange={(checked) => set({ hollow: checked || undefined })}
        />
      )}
      <CheckField
        label="strength measured, not the label"
        checked={line.pulled ?? false}
        onChange={(checked) => set({ pulled: checked || undefined })}
      />
      <CheckField
        label="weak link: breaks first when the sinker snags"
        checked={trace.weakLink === line.id}
        onChange={(checked) => bench.editTrace((old) => ({ ...old, weakLink: checked ? line.id : undefined }))}
      />
      <AllOfRole rig={rig} line={line} edits={edits} />
    </>
  )
}

/** The printed number of a wire, where its strength is that of one. */
const numberOf = ({ wireNumbers }: Catalogue, { strengthN }: LinePiece): number | undefined =>
  wireNumbers.find(({ strengthLb }) => Math.abs(strengthN / (strengthLb * QUANTITIES.strength.units.lb) - 1) < 0.005)?.number

/** One step for all lines of a role: the others become what this one is. */
function AllOfRole({ rig, line, edits }: { rig: Rig; line: LinePiece; edits: Edits }) {
  const show = useShow()
  const { role, material, strengthN } = line
  const lines = linesOf(rig.trace, role)
  if (lines.every((other) => other.material === material && other.strengthN === strengthN)) return null
  const change = () => {
    const result = restringRole(rig, role, { material, strengthN })
    edits.take(result.ok ? { ...result, chosen: line.id } : result)
  }
  return (
    <Button onClick={change}>
      All {lines.length} {ROLE_PLURALS[role]} to {lineSpec(rig.catalogue, line, show)}
    </Button>
  )
}
