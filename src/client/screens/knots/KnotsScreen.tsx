import { useId, useState } from 'react'
import { Link } from 'react-router'
import { KNOT_FACTS, type KnotId } from '../../../core/knots/facts.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { buttonClass, fieldClass, Sheet } from '../../ui/controls.tsx'
import { Empty } from '../../ui/states.tsx'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { KnotChooser } from './KnotChooser.tsx'
import { JOINS_WORDS } from './knotWords.ts'

/** Every knot, found by any of its names; and a chooser from the two ends and what matters most. */
export default function KnotsScreen() {
  usePageTitle('Knots')
  const id = useId()
  const [typed, setTyped] = useState('')
  const { connections } = useCatalogue()
  const found = (Object.keys(KNOT_FACTS) as KnotId[])
    .filter((knot) => [connections[knot].name, ...KNOT_FACTS[knot].also].some((name) => isIn(name, typed)))
    .toSorted((a, b) => connections[a].name.localeCompare(connections[b].name))
  return (
    <div className="p-3 sm:px-6">
      <div className="mb-3 flex items-center gap-3">
        <h1 className="mr-auto text-xl font-bold">Knots</h1>
        <Link to="/knots/pulls" className={buttonClass()}>
          Your tests
        </Link>
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-3 lg:grid-cols-[minmax(0,1fr)_26rem]">
        <KnotChooser />
        <Sheet title="All knots" aside={<span className="text-sm text-quiet">{found.length} shown</span>}>
          <label htmlFor={id} className="sr-only">
            Search by any name
          </label>
          <input
            id={id}
            type="search"
            className={fieldClass}
            placeholder="search by any name"
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
          />
          {found.length === 0 ? (
            <Empty title="No knot found">Try another name or fewer letters.</Empty>
          ) : (
            <ul className="mt-2">
              {found.map((knot) => (
                <li key={knot} className="border-t border-rule">
                  <Link to={`/knots/${knot}`} className="block rounded-md px-1 py-2 hover:bg-well">
                    <span className="font-semibold first-letter:uppercase">{connections[knot].name}</span>{' '}
                    <span className="text-sm text-quiet">
                      {JOINS_WORDS[connections[knot].joins]} · {KNOT_FACTS[knot].also.join(', ')}
                    </span>
                  </Link>
                </li>
              ))}
            </ul>
          )}
        </Sheet>
      </div>
    </div>
  )
}

/** Whether a name has what is typed in it, whatever its letters’ case and its marks. */
const isIn = (name: string, typed: string) => plain(name).includes(plain(typed))
const plain = (text: string) => text.toLowerCase().replace(/[’'-]/g, ' ').replace(/\s+/g, ' ').trim()
