import { type ReactNode, useMemo } from 'react'
import { type FamilyId, familyName, OWN_DESIGN } from '../../../core/catalogue/familyIds.ts'
import type { Outfit } from '../../../core/documents/outfit.ts'
import { sketch } from '../../../core/families/draft.ts'
import { familyOf } from '../../../core/families/families.ts'
import { FAMILY_GROUPS, type Family } from '../../../core/families/family.ts'
import { SUITS, type Suit } from '../../../core/families/suits.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { MiniReach } from '../../charts/MiniReach.tsx'
import { Glossed } from '../../fishing/Glossed.tsx'

/** Width that a family is drawn for, in the drawing’s units. */
const SKETCH_WIDTH = 300

type Props = {
  value: FamilyId
  families: readonly { family: Family; suit: Suit }[]
  /** By how they suit, where a fish or a place was chosen; else by what they are for. */
  sorted: boolean
  outfit: Outfit
  onChange: (id: FamilyId) => void
}

const SUIT_WORDS: Record<Suit['suits'], string> = { well: 'suits', can: 'suitable', not: 'not suitable' }

/**
 * The families, each with a small drawing, and a word on the chosen one: by what they are for, or, once a fish or a place is chosen,
 * those that suit first, each with the reason; or nothing at all, to draw from.
 */
export function FamilyChoice({ value, families, sorted, outfit, onChange }: Props) {
  const groups: { name: string; rows: Props['families'] }[] = sorted
    ? SUITS.map((suits) => ({ name: SUIT_WORDS[suits], rows: families.filter(({ suit }) => suit.suits === suits) }))
    : FAMILY_GROUPS.map((group) => ({ name: group, rows: families.filter(({ family }) => family.group === group) }))
  return (
    <div role="radiogroup" aria-label="family" className="grid gap-3">
      <p className="rounded-md bg-well px-3 py-2" aria-live="polite">
        <Glossed>{familyOf(value)?.about ?? 'No family: start with the bare line and add parts.'}</Glossed>
      </p>
      {groups.map(({ name, rows }) => {
        if (rows.length === 0) return null
        // One reason for all is said once.
        const [first] = rows
        const shared = sorted && rows.every(({ suit }) => suit.why === first?.suit.why) ? first?.suit.why : undefined
        const cards = (
          <div className="grid gap-1.5 sm:grid-cols-2 xl:grid-cols-3">
            {rows.map(({ family, suit }) => (
              <FamilyCard
                key={family.id}
                id={family.id}
                name={familyName(family.id)}
                why={sorted && shared === undefined ? suit.why : undefined}
                chosen={family.id === value}
                onChange={onChange}
              >
                <Sketch family={family} outfit={outfit} />
              </FamilyCard>
            ))}
          </div>
        )
        const holdsChosen = rows.some(({ family }) => family.id === value)
        return sorted && name !== SUIT_WORDS.well && !holdsChosen ? (
          <details key={name}>
            <summary className="cursor-pointer text-sm font-semibold text-quiet">
              {name} ({rows.length})
            </summary>
            <SharedReason why={shared} />
            <div className="mt-1">{cards}</div>
          </details>
        ) : (
          <section key={name} aria-label={name}>
            <h3 className="mb-1 text-sm font-semibold text-quiet">{name}</h3>
            <SharedReason why={shared} />
            {cards}
          </section>
        )
      })}
      <section aria-label="from scratch">
        <h3 className="mb-1 text-sm font-semibold text-quiet">from scratch</h3>
        <div className="grid gap-1.5 sm:grid-cols-2 xl:grid-cols-3">
          <FamilyCard id={OWN_DESIGN} name="own design" chosen={value === OWN_DESIGN} onChange={onChange} />
        </div>
      </section>
    </div>
  )
}

const SharedReason = ({ why }: { why: string | undefined }) =>
  why !== undefined && <p className="mb-1 text-sm text-quiet">{why}</p>

function Sketch({ family, outfit }: { family: Family; outfit: Outfit }) {
  const catalogue = useCatalogue()
  const trace = useMemo(() => sketch(family, outfit, catalogue), [family, outfit, catalogue])
  return <MiniReach trace={trace} outfit={outfit} width={SKETCH_WIDTH} />
}

type CardProps = {
  id: FamilyId
  name: string
  why?: string | undefined
  chosen: boolean
  onChange: Props['onChange']
  children?: ReactNode
}

function FamilyCard({ id, name, why, chosen, onChange, children }: CardProps) {
  return (
    <label
      className={`grid cursor-pointer content-start gap-1 rounded-md border px-2 py-1.5 ${chosen ? 'border-tide bg-well font-semibold' : 'border-rule'}`}
    >
      <span className="flex items-center gap-2">
        <input type="radio" name="family" value={id} checked={chosen} onChange={() => onChange(id)} className="size-5 shrink-0" />
        {name}
      </span>
      {why && <span className="text-sm font-normal text-quiet">{why}</span>}
      {children}
    </label>
  )
}
