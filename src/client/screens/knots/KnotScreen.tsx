import type { ReactNode } from 'react'
import { Link, useParams, useSearchParams } from 'react-router'
import { efficiencyOf } from '../../../core/catalogue/catalogue.ts'
import { DEFAULT_LOOP_M, lineUsedM } from '../../../core/catalogue/connections.ts'
import { MATERIAL_IDS } from '../../../core/catalogue/ids.ts'
import { type LineSpec, lineDiameterM } from '../../../core/catalogue/materials.ts'
import { yourPulls } from '../../../core/joints/ownFigures.ts'
import { isKnot } from '../../../core/knots/choose.ts'
import { KNOT_FACTS, type KnotId } from '../../../core/knots/facts.ts'
import { usualTurns } from '../../../core/setup/cutLength.ts'
import { percent } from '../../../core/units/percent.ts'
import { LB } from '../../../core/units/quantities.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { useShow } from '../../settings/preferences.tsx'
import { buttonClass, Sheet } from '../../ui/controls.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { knotPath, readKnotFor } from '../../words/knotAddress.ts'
import { JOINS_WORDS, minutesText } from './knotWords.ts'
import { LineFields } from './LineFields.tsx'
import { OwnPulls } from './OwnPulls.tsx'
import { TyingCard } from './TyingCard.tsx'

/** What a knot is shown in where nobody said: its first line, and a heavier one beside it. */
const DEFAULT_N = [30 * LB, 50 * LB]
/** A second line is drawn so much thicker at most, so that the first is still seen. */
const MAX_THICKER = 1.8

/** One knot: how it is tied in the lines at hand, what it holds and costs, and how a good one looks. */
export default function KnotScreen() {
  const { id = '' } = useParams()
  return isKnot(id) ? (
    <Knot id={id} />
  ) : (
    <div className="p-6">
      <div role="alert">
        <h1>This knot does not exist.</h1>
      </div>
      <Link to="/knots" className="text-tide underline">
        All knots
      </Link>
    </div>
  )
}

function Knot({ id }: { id: KnotId }) {
  const catalogue = useCatalogue()
  const connection = catalogue.connections[id]
  const facts = KNOT_FACTS[id]
  usePageTitle('Knots', connection.name)
  const { lines, said, turns, set } = useKnotFor(id)
  const [thin, thick] = lines.map((line) => lineDiameterM(catalogue, line)).toSorted((a, b) => a - b)
  const other = thin && thick ? Math.min(MAX_THICKER, thick / thin) : 1
  const materials = MATERIAL_IDS.filter((material) => efficiencyOf(catalogue, { connection: id }, material))
  return (
    <article className="p-3 sm:px-6">
      <header className="mb-3 flex flex-wrap items-baseline gap-x-3 gap-y-1">
        <Link to="/knots" className={`no-print ${buttonClass('quiet')}`}>
          All knots
        </Link>
        <h1 className="text-xl font-bold first-letter:uppercase">{connection.name}</h1>
        <p className="text-quiet">
          {JOINS_WORDS[connection.joins]} · also {facts.also.join(', ')}
        </p>
      </header>
      <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-3 lg:grid-cols-[minmax(0,1fr)_24rem]">
        <TyingCard key={id} id={id} name={connection.name} turns={turns} other={other} />
        <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
          <Sheet title="In your line">
            <div className="no-print grid gap-2">
              {lines.map((line, i) => (
                <LineFields
                  key={i}
                  label={lines.length === 1 ? 'line' : i === 0 ? 'one line' : 'other line'}
                  line={line}
                  materials={materials}
                  onChange={(next) => set({ lines: lines.map((each, j) => (i === j ? next : each)), turns: said })}
                />
              ))}
              {connection.turns && (
                <NumberField
                  label="turns"
                  value={said}
                  whole
                  least={1}
                  most={60}
                  placeholder={`${usualTurns(catalogue, id, lines)}, as usual`}
                  onChange={(next) => set({ lines, turns: next })}
                />
              )}
            </div>
            <Figures id={id} lines={lines} turns={turns} />
          </Sheet>
          <div className="no-print">
            <OwnPulls id={id} line={lines[0]!} turns={turns} />
          </div>
          <Sheet title="When to use it and how it should look">
            <dl className="grid gap-2">
              <Fact name="suits">{facts.suits}</Fact>
              <Fact name="fails">{facts.fails}</Fact>
              <Fact name="a good one">{facts.good}</Fact>
              <Fact name="a bad one">{facts.bad}</Fact>
              {connection.caution && <Fact name="mind">{connection.caution}.</Fact>}
            </dl>
            <p className="mt-2 text-sm text-quiet">
              Test it by hand against a fixed point. Protect your eyes, cover the points, keep others clear.
            </p>
          </Sheet>
        </div>
      </div>
    </article>
  )
}

/** The lines and turns that a knot is shown for, from the address and back into it. */
function useKnotFor(id: KnotId) {
  const catalogue = useCatalogue()
  const [query, setQuery] = useSearchParams()
  const { lines: given, turns: said } = readKnotFor(query)
  const { joins } = catalogue.connections[id]
  const tiedIn = (line: LineSpec) => efficiencyOf(catalogue, { connection: id }, line.material) !== undefined
  const first = MATERIAL_IDS.find((material) => efficiencyOf(catalogue, { connection: id }, material)) ?? 'mono'
  const usual = (joins === 'line-line' ? DEFAULT_N : DEFAULT_N.slice(0, 1)).map(
    (strengthN): LineSpec => ({ material: first, strengthN }),
  )
  const lines = usual.map((line, i) => (given[i] && tiedIn(given[i]) ? given[i] : line))
  return {
    lines,
    said,
    turns: said ?? usualTurns(catalogue, id, lines),
    set: (next: Parameters<typeof knotPath>[1]) => setQuery(knotPath(id, next).split('?')[1] ?? '', { replace: true }),
  }
}

function Figures({ id, lines, turns }: { id: KnotId; lines: readonly LineSpec[]; turns: number }) {
  const catalogue = useCatalogue()
  const show = useShow()
  const { minutes, passesGuides } = catalogue.connections[id]
  const { tagMm, bulk, coldFactor } = KNOT_FACTS[id]
  const diametersM = lines.map((line) => lineDiameterM(catalogue, line))
  const usedM = lines.map((line, i) =>
    lineUsedM(catalogue, id, { material: line.material, diameterM: diametersM[i]! }, { turns, loopM: DEFAULT_LOOP_M }),
  )
  return (
    <dl className="mt-3 grid grid-cols-[auto_minmax(0,1fr)] gap-x-4 gap-y-1 border-t border-rule pt-2">
      {lines.map((line, i) => {
        const figure = efficiencyOf(catalogue, { connection: id }, line.material)
        if (!figure) return null
        return (
          <Row key={i} name={`holds in ${catalogue.materials[line.material].name}`}>
            <strong>{show.computed('strength', figure.mean * line.strengthN)}</strong>, {percent(figure.mean)} ±{' '}
            {percent(figure.mean * figure.spread)} {figure.origin === 'own' ? yourPulls(figure.tests, figure.breaks) : 'nominal'}
          </Row>
        )
      })}
      <Row name="line used">{usedM.map((m) => show.tape(m)).join(' and ')}</Row>
      <Row name="time">
        {minutesText(minutes)} at the table, {minutesText(minutes * coldFactor)} with cold, wet hands
      </Row>
      <Row name="across">{show.entered('diameter', Number((bulk * Math.max(...diametersM)).toPrecision(2)))}</Row>
      <Row name="tag">{tagMm[1] === 0 ? 'none' : `${tagMm[0]} to ${tagMm[1]} mm`}</Row>
      <Row name="guides">{passesGuides ? 'passes through guides' : 'does not pass guides'}</Row>
    </dl>
  )
}

const Row = ({ name, children }: { name: string; children: ReactNode }) => (
  <>
    <dt className="text-quiet">{name}</dt>
    <dd>{children}</dd>
  </>
)

const Fact = ({ name, children }: { name: string; children: ReactNode }) => (
  <div>
    <dt className="text-sm text-quiet">{name}</dt>
    <dd className="first-letter:uppercase">{children}</dd>
  </div>
)
