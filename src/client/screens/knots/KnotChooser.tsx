import { useId, useMemo, useState } from 'react'
import { Link } from 'react-router'
import { type LineSpec, lineDiameterM } from '../../../core/catalogue/materials.ts'
import { chooseKnots, type TiedEnd, WISHES, type Wish } from '../../../core/knots/choose.ts'
import { KNOT_FACTS } from '../../../core/knots/facts.ts'
import { percent } from '../../../core/units/percent.ts'
import { LB } from '../../../core/units/quantities.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Field, Select, Sheet } from '../../ui/controls.tsx'
import { ScrollAcross } from '../../ui/ScrollAcross.tsx'
import { knotPath } from '../../words/knotAddress.ts'
import { END_WORDS, minutesText, WISH_WORDS } from './knotWords.ts'
import { LineFields } from './LineFields.tsx'

type EndKind = keyof typeof END_WORDS
const ABOVE: readonly EndKind[] = ['strand', 'double', 'loop']
const BELOW: readonly EndKind[] = ['eye', 'hook', 'strand', 'loop', 'double']
/** What is a line, or a loop made in one. */
const isLine = (kind: EndKind) => kind !== 'eye' && kind !== 'hook'

/** From the two ends and what matters most to a list with what each holds and costs; and why the others are not in it. */
export function KnotChooser() {
  const catalogue = useCatalogue()
  const id = useId()
  const [above, setAbove] = useState<EndKind>('strand')
  const [below, setBelow] = useState<EndKind>('eye')
  const [lineAbove, setLineAbove] = useState<LineSpec>({ material: 'mono', strengthN: 30 * LB })
  const [lineBelow, setLineBelow] = useState<LineSpec>({ material: 'mono', strengthN: 50 * LB })
  const [wish, setWish] = useState<Wish>('strength')
  const chosen = useMemo(() => {
    const end = (kind: EndKind, line: LineSpec): TiedEnd => ({ end: kind, ...(isLine(kind) ? { line } : {}) })
    return chooseKnots(catalogue, end(above, lineAbove), end(below, lineBelow), wish)
  }, [catalogue, above, below, lineAbove, lineBelow, wish])
  const lines = [...(isLine(above) ? [lineAbove] : []), ...(isLine(below) ? [lineBelow] : [])]
  return (
    <Sheet title="Which knot?">
      <div className="grid gap-x-6 gap-y-2 sm:grid-cols-2">
        <div className="grid content-start gap-2">
          <Field label="tie" htmlFor={`${id}-above`}>
            <Select
              id={`${id}-above`}
              value={above}
              choices={ABOVE.map((value) => ({ value, text: END_WORDS[value] }))}
              onChoose={(next) => setAbove(next)}
            />
          </Field>
          {isLine(above) && <LineFields label="line" line={lineAbove} onChange={setLineAbove} />}
        </div>
        <div className="grid content-start gap-2">
          <Field label="to" htmlFor={`${id}-below`}>
            <Select
              id={`${id}-below`}
              value={below}
              choices={BELOW.map((value) => ({ value, text: END_WORDS[value] }))}
              onChoose={(next) => setBelow(next)}
            />
          </Field>
          {isLine(below) && <LineFields label="other line" line={lineBelow} onChange={setLineBelow} />}
          <Field label="most important" htmlFor={`${id}-wish`}>
            <Select
              id={`${id}-wish`}
              value={wish}
              choices={WISHES.map((value) => ({ value, text: WISH_WORDS[value] }))}
              onChoose={(next) => setWish(next)}
            />
          </Field>
        </div>
      </div>
      <Suited chosen={chosen} lines={lines} />
      <details className="mt-3">
        <summary className="cursor-pointer py-1 text-quiet">why not the other {chosen.others.length}?</summary>
        <ul className="mt-1 grid gap-x-6 text-sm sm:grid-cols-2">
          {chosen.others.map(({ id: other, why }) => (
            <li key={other} className="border-t border-rule py-1">
              <strong className="first-letter:uppercase">{catalogue.connections[other].name}</strong> {why}.
            </li>
          ))}
        </ul>
      </details>
    </Sheet>
  )
}

function Suited({ chosen, lines }: { chosen: ReturnType<typeof chooseKnots>; lines: readonly LineSpec[] }) {
  const catalogue = useCatalogue()
  const show = useShow()
  if (chosen.suited.length === 0)
    return (
      <p className="mt-3 rounded-md bg-well px-3 py-2">
        No knot joins these two. Choose other priorities, or use a swivel or ring.
      </p>
    )
  const thickM = Math.max(0, ...lines.map((line) => lineDiameterM(catalogue, line)))
  return (
    <ScrollAcross label="Knots that suit" className="mt-3">
      <table className="w-full min-w-[34rem]">
        <thead>
          <tr className="text-left text-sm text-quiet">
            {['knot', 'holds', 'of the line', 'turns', 'time', 'cold hands', 'across', 'line used'].map((name) => (
              <th key={name} scope="col" className="pr-3 pb-1 font-normal">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {chosen.suited.map(({ id, strengthN, share, turns, minutes, bulkM, lineUsedM, figure }, i) => (
            <tr key={id} className="border-t border-rule">
              <th scope="row" className="py-1.5 pr-3 text-left font-semibold">
                <Link
                  to={knotPath(id, { lines: [...lines], turns })}
                  className="underline decoration-rule first-letter:uppercase"
                >
                  {catalogue.connections[id].name}
                </Link>
              </th>
              <td className={i === 0 ? 'pr-3 font-semibold' : 'pr-3'}>{show.computed('strength', strengthN)}</td>
              <td className="pr-3">
                {percent(share)}
                {figure.origin === 'own' && <span className="text-sm text-quiet"> yours</span>}
              </td>
              <td className="pr-3">{turns || '–'}</td>
              <td className="pr-3 whitespace-nowrap">{minutesText(minutes)}</td>
              <td className="pr-3 whitespace-nowrap">{minutesText(minutes * KNOT_FACTS[id].coldFactor)}</td>
              <td className="pr-3 whitespace-nowrap">
                {thickM > 0 ? show.entered('diameter', Number(bulkM.toPrecision(2))) : '–'}
              </td>
              <td className="whitespace-nowrap">{show.tape(lineUsedM)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </ScrollAcross>
  )
}
