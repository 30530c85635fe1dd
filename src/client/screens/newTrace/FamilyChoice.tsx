import { type FamilyId, familyName, OWN_DESIGN } from '../../../core/catalogue/familyIds.ts'
import { FAMILIES, familyOf } from '../../../core/families/families.ts'
import { FAMILY_GROUPS } from '../../../core/families/family.ts'

type Props = { value: FamilyId; onChange: (id: FamilyId) => void }

/** The families by what they are for, with a word on the chosen one; or nothing at all, to draw from. */
export function FamilyChoice({ value, onChange }: Props) {
  return (
    <div role="radiogroup" aria-label="family" className="grid gap-3">
      <p className="rounded-md bg-well px-3 py-2" aria-live="polite">
        {familyOf(value)?.about ?? 'No family: begin with the bare line and add part by part.'}
      </p>
      <div className="gap-x-4 sm:columns-2 xl:columns-3">
        {FAMILY_GROUPS.map((group) => (
          <section key={group} className="mb-3 break-inside-avoid" aria-label={group}>
            <h3 className="mb-1 text-sm font-semibold text-quiet">{group}</h3>
            {FAMILIES.filter((family) => family.group === group).map(({ id }) => (
              <FamilyRow key={id} id={id} name={familyName(id)} chosen={id === value} onChange={onChange} />
            ))}
          </section>
        ))}
        <section className="break-inside-avoid" aria-label="from nothing">
          <h3 className="mb-1 text-sm font-semibold text-quiet">from nothing</h3>
          <FamilyRow id={OWN_DESIGN} name="own design" chosen={value === OWN_DESIGN} onChange={onChange} />
        </section>
      </div>
    </div>
  )
}

type RowProps = { id: FamilyId; name: string; chosen: boolean; onChange: Props['onChange'] }

function FamilyRow({ id, name, chosen, onChange }: RowProps) {
  return (
    <label className={`flex min-h-9 cursor-pointer items-center gap-2 rounded-md px-2 ${chosen ? 'bg-well font-semibold' : ''}`}>
      <input type="radio" name="family" value={id} checked={chosen} onChange={() => onChange(id)} className="size-5 shrink-0" />
      {name}
    </label>
  )
}
