import { type ReactNode, useMemo } from 'react'
import { type FamilyId, familyName, OWN_DESIGN } from '../../../core/catalogue/familyIds.ts'
import type { Outfit } from '../../../core/documents/outfit.ts'
import { sketch } from '../../../core/families/draft.ts'
import { FAMILIES, familyOf } from '../../../core/families/families.ts'
import { FAMILY_GROUPS, type Family } from '../../../core/families/family.ts'
import { useCatalogue } from '../../catalogue.ts'
import { MiniReach } from '../../charts/Reach.tsx'
import { useMiniReach } from '../../charts/useReach.ts'

/** Width that a family is drawn for, in the drawing’s units. */
const SKETCH_WIDTH = 300

type Props = { value: FamilyId; outfit: Outfit; onChange: (id: FamilyId) => void }

/** The families by what they are for, each with a small drawing, and a word on the chosen one; or nothing at all, to draw from. */
export function FamilyChoice({ value, outfit, onChange }: Props) {
  return (
    <div role="radiogroup" aria-label="family" className="grid gap-3">
      <p className="rounded-md bg-well px-3 py-2" aria-live="polite">
        {familyOf(value)?.about ?? 'No family: begin with the bare line and add part by part.'}
      </p>
      {FAMILY_GROUPS.map((group) => (
        <section key={group} aria-label={group}>
          <h3 className="mb-1 text-sm font-semibold text-quiet">{group}</h3>
          <div className="grid gap-1.5 sm:grid-cols-2 xl:grid-cols-3">
            {FAMILIES.filter((family) => family.group === group).map((family) => (
              <FamilyCard
                key={family.id}
                id={family.id}
                name={familyName(family.id)}
                chosen={family.id === value}
                onChange={onChange}
              >
                <Sketch family={family} outfit={outfit} />
              </FamilyCard>
            ))}
          </div>
        </section>
      ))}
      <section aria-label="from nothing">
        <h3 className="mb-1 text-sm font-semibold text-quiet">from nothing</h3>
        <div className="grid gap-1.5 sm:grid-cols-2 xl:grid-cols-3">
          <FamilyCard id={OWN_DESIGN} name="own design" chosen={value === OWN_DESIGN} onChange={onChange} />
        </div>
      </section>
    </div>
  )
}

function Sketch({ family, outfit }: { family: Family; outfit: Outfit }) {
  const catalogue = useCatalogue()
  const trace = useMemo(() => sketch(family, outfit, catalogue), [family, outfit, catalogue])
  return <MiniReach trace={trace} outfit={outfit} layout={useMiniReach(trace, outfit, SKETCH_WIDTH)} />
}

type CardProps = { id: FamilyId; name: string; chosen: boolean; onChange: Props['onChange']; children?: ReactNode }

function FamilyCard({ id, name, chosen, onChange, children }: CardProps) {
  return (
    <label
      className={`grid cursor-pointer content-start gap-1 rounded-md border px-2 py-1.5 ${chosen ? 'border-tide bg-well font-semibold' : 'border-rule'}`}
    >
      <span className="flex items-center gap-2">
        <input type="radio" name="family" value={id} checked={chosen} onChange={() => onChange(id)} className="size-5 shrink-0" />
        {name}
      </span>
      {children}
    </label>
  )
}
