import { lazy, type ReactNode, Suspense } from 'react'
import { Link } from 'react-router'
import type { PlannedNeed } from '../../../core/batch/batchPlan.ts'
import type { Need } from '../../../core/batch/needs.ts'
import type { Batch } from '../../../core/documents/batch.ts'
import type { Setup } from '../../../core/setup/setup.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { useShow } from '../../settings/preferences.tsx'
import type { Show } from '../../settings/show.ts'
import { Select } from '../../ui/controls.tsx'
import { needWords } from '../../words/needWords.ts'

// Loaded later: it evaluates a trace twice, and the list should not wait for it.
const SubstituteNote = lazy(() => import('./SubstituteNote.tsx'))

/** More of the nearest than these are not offered. */
const MAX_OFFERED = 8
const NOTHING = 'nothing'

type Choices = NonNullable<Batch['choices']>
type Props = {
  plan: readonly PlannedNeed[]
  setup: Setup
  choices: Choices
  onChoose: (choices: Choices) => void
}

/** What the traces take of each line and part: needed, on hand and short, and which gear of the box it comes from. */
export function NeedList({ plan, setup, choices, onChoose }: Props) {
  const show = useShow()
  const catalogue = useCatalogue()
  const choose = (need: Need, itemId: string) =>
    onChoose([
      ...choices.filter(({ piece }) => piece !== need.piece),
      { piece: need.piece, itemId: itemId === NOTHING ? null : itemId },
    ])
  return (
    <table className="w-full" aria-label="Needed and on hand">
      <thead className="text-left text-sm text-quiet max-sm:sr-only">
        <tr>
          <th scope="col" className="font-normal">
            line or part
          </th>
          <th scope="col" className="pl-3 text-right font-normal">
            needed
          </th>
          <th scope="col" className="pl-3 text-right font-normal">
            on hand
          </th>
          <th scope="col" className="pl-3 text-right font-normal">
            short
          </th>
          <th scope="col" className="no-print pl-4 font-normal">
            from the box
          </th>
        </tr>
      </thead>
      <tbody>
        {plan.map((planned) => {
          const { need, needed, candidates, from, onHand, short } = planned
          const offered = candidates.slice(0, MAX_OFFERED)
          const nearest = candidates[0]
          const name = needWords(catalogue, need, show)
          return (
            <tr key={need.piece} className="border-t border-rule align-top max-sm:grid max-sm:grid-cols-3" data-need={need.piece}>
              <td className="py-1.5 max-sm:col-span-3">
                {name}
                {from && !from.isSame && (
                  <Suspense>
                    <SubstituteNote setup={setup} need={need} gear={from.item.gear} />
                  </Suspense>
                )}
                {!from && nearest && !nearest.isSame && (
                  <Suspense>
                    <SubstituteNote setup={setup} need={need} gear={nearest.item.gear} isOffer />
                  </Suspense>
                )}
              </td>
              <Figure name="needed">{amount(need, needed, show)}</Figure>
              <Figure name="on hand">
                {from ? onHand === undefined ? <span className="text-quiet">not counted</span> : amount(need, onHand, show) : '–'}
              </Figure>
              <Figure name="short">
                {short > 0 ? <strong className="text-fails">{amount(need, short, show)}</strong> : '–'}
              </Figure>
              <td className="no-print py-1.5 max-sm:col-span-3 sm:pl-4">
                {offered.length > 0 ? (
                  <Select
                    aria-label={`${name} from the box`}
                    value={from?.item.id ?? NOTHING}
                    onChoose={(id) => choose(need, id)}
                    choices={[
                      ...offered.map(({ item, isSame }) => ({
                        value: item.id,
                        text: isSame ? item.gear.name : `${item.gear.name} (substitute)`,
                        isName: true,
                      })),
                      { value: NOTHING, text: 'not from the box' },
                    ]}
                  />
                ) : (
                  <Link to="/gear/box" className="text-sm underline">
                    not in the box
                  </Link>
                )}
              </td>
            </tr>
          )
        })}
      </tbody>
    </table>
  )
}

/** A figure of a row; on a phone, where the columns have no heads, with its name. */
const Figure = ({ name, children }: { name: string; children: ReactNode }) => (
  <td className="py-1.5 text-right whitespace-nowrap tabular-nums max-sm:text-left sm:pl-3">
    <span className="text-sm text-quiet sm:hidden" aria-hidden="true">
      {name}{' '}
    </span>
    {children}
  </td>
)

const amount = (need: Need, quantity: number, show: Show): string =>
  need.kind === 'line' ? show.tape(quantity) : show.plain(quantity)
