import { useId } from 'react'
import type { Catalogue } from '../../../core/catalogue/catalogue.ts'
import type { LineSpec } from '../../../core/catalogue/materials.ts'
import type { Pull, StraightPull } from '../../../core/documents/observation.ts'
import { KNOT_FACTS, type KnotId } from '../../../core/knots/facts.ts'
import { usualTurns } from '../../../core/setup/cutLength.ts'
import type { Spool } from '../../api/useSpools.ts'
import { useNominalCatalogue } from '../../catalogue/useCatalogue.ts'
import { CheckField } from '../../ui/CheckField.tsx'
import { type Choice, Field, Select } from '../../ui/controls.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { CutFrom } from './CutFrom.tsx'
import { LineFields } from './LineFields.tsx'

const NONE = 'none'

const choicesOf = ({ connections }: Catalogue): readonly Choice<KnotId | typeof NONE>[] => [
  { value: NONE, text: 'no knot, line alone' },
  ...(Object.keys(KNOT_FACTS) as KnotId[])
    .toSorted((a, b) => connections[a].name.localeCompare(connections[b].name))
    .map((value) => ({ value, text: connections[value].name })),
]

/** What hangs on the scale: a knot in a line, or a line by itself. */
export type SampleOnScale = {
  knot: KnotId | undefined
  line: LineSpec
  spool: Spool | undefined
  turns: number | undefined
  wet: boolean
}

/** The sample’s fields, without the result. */
export type Hung =
  | Pick<Pull, 'kind' | 'connection' | 'turns' | 'material' | 'spoolId' | 'lineN' | 'wet'>
  | Pick<StraightPull, 'kind' | 'material' | 'spoolId' | 'labelN' | 'wet'>

/** A line holds what its spool was pulled at, else its label. */
export function hungOf(nominal: Catalogue, { knot, line: { material, strengthN }, spool, turns, wet }: SampleOnScale): Hung {
  const cut = { material, wet, ...(spool ? { spoolId: spool.id } : {}) }
  if (knot === undefined) return { kind: 'straight', ...cut, labelN: strengthN }
  const wound = turns ?? usualTurns(nominal, knot, [{ material, strengthN }])
  const lineN = spool?.lesson?.strengthN ?? strengthN
  return { kind: 'pull', ...cut, connection: knot, lineN, ...(wound > 0 ? { turns: wound } : {}) }
}

type Props = { sample: SampleOnScale; spools: readonly Spool[]; disabled: boolean; onChange: (sample: SampleOnScale) => void }

/** Says what hangs on the scale. */
export function SampleFields({ sample, spools, disabled, onChange }: Props) {
  const id = useId()
  const nominal = useNominalCatalogue()
  const { knot, line, spool, turns, wet } = sample
  return (
    <fieldset disabled={disabled} className="grid gap-2">
      <Field label="knot" htmlFor={`${id}-knot`}>
        <Select
          id={`${id}-knot`}
          value={knot ?? NONE}
          choices={choicesOf(nominal)}
          onChoose={(next) => onChange({ ...sample, knot: next === NONE ? undefined : next, turns: undefined })}
        />
      </Field>
      <CutFrom
        spools={spools}
        value={spool?.id}
        onChange={(chosen) =>
          onChange({
            ...sample,
            spool: chosen,
            line: chosen ? { material: chosen.material, strengthN: chosen.labelN } : line,
          })
        }
      />
      {!spool && <LineFields label="line" line={line} onChange={(next) => onChange({ ...sample, line: next })} />}
      {knot !== undefined && nominal.connections[knot].turns && (
        <NumberField
          label="turns"
          value={turns}
          whole
          least={1}
          most={60}
          placeholder={`${usualTurns(nominal, knot, [line])}, as usual`}
          onChange={(next) => onChange({ ...sample, turns: next })}
        />
      )}
      <CheckField label="tested wet" checked={wet} onChange={(next) => onChange({ ...sample, wet: next })} />
    </fieldset>
  )
}
