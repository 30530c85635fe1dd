import { memo, useMemo, useState } from 'react'
import type { Catalogue } from '../../../core/catalogue/catalogue.ts'
import type { Material } from '../../../core/catalogue/ids.ts'
import { lineDiameterM } from '../../../core/catalogue/materials.ts'
import type { Hold } from '../../../core/documents/observation.ts'
import type { Outfit } from '../../../core/documents/outfit.ts'
import { learnedHolding } from '../../../core/learning/markLessons.ts'
import { mainLine, withMainLine } from '../../../core/outfits/outfitLines.ts'
import { atMark } from '../../../core/plan/atMark.ts'
import type { Day } from '../../../core/plan/dayAtMark.ts'
import { holdingOf, type RequiredSinker, requiredSinkerAt } from '../../../core/plan/holding.ts'
import { changeAt, type Plan } from '../../../core/plan/planDay.ts'
import { settledOn } from '../../../core/plan/preparedWithSinker.ts'
import type { Owned } from '../../../core/setup/owned.ts'
import type { Setup } from '../../../core/setup/setup.ts'
import type { SavedMark } from '../../api/documents.ts'
import { Glossed } from '../../fishing/Glossed.tsx'
import { LineInWater, type Told } from '../../moments/LineInWater.tsx'
import { useShow } from '../../settings/preferences.tsx'
import type { Show } from '../../settings/show.ts'
import { Select, Sheet } from '../../ui/controls.tsx'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { compassPoint, sinkerWords } from '../../words/waterWords.ts'
import { HeldOrDragged } from './HeldOrDragged.tsx'

const VIEW_HEIGHT = 230

type Props = {
  mark: SavedMark
  holds: readonly Hold[]
  day: Day
  setup: Setup
  plan: Plan | undefined
  owned: readonly Owned[]
  atMs: number
  clock: (timeMs: number) => string
}
/** A line to compare with: undefined while none is. */
type Beside = { material: Material; diameterM: number }

/** The mark at one time: what holds there, the line's true shape, another line beside it, and what held or dragged. */
export const AtTime = memo(function AtTime({ mark, holds, day, setup, plan, owned, atMs, clock }: Props) {
  const show = useShow()
  const { catalogue } = setup
  const [chosen, setChosen] = useState('plan')
  const [beside, setBeside] = useState<Beside>()
  const now = useMemo(() => atMark(mark.content, day.tide, day.winds, atMs), [mark, day, atMs])
  const planned = plan && changeAt(plan.changes, atMs)?.to
  const sinker = chosen === 'plan' ? planned : owned.find((each) => nameOf(each) === chosen)
  const settling = useMemo(() => settledOn(setup, now.water, sinker), [setup, now, sinker])
  const lines = useMemo((): Told[] => {
    if (!settling) return []
    const first = { name: lineName(catalogue, setup.outfit, show), settling }
    if (!beside) return [first]
    const outfit = withMainLine(setup.outfit, beside)
    const other = settledOn({ ...setup, outfit }, now.water, sinker)
    return other ? [first, { name: `Second line, ${lineName(catalogue, outfit, show)}`, settling: other }] : [first]
  }, [settling, beside, setup, catalogue, now, sinker, show])
  if (!settling) return <Sheet title={`At ${clock(atMs)}`}>This trace does not sink: it has no sinker and no bait.</Sheet>
  const wantedIn = requiredSinkerAt(learnedHolding(catalogue, mark.content, holds))
  return (
    <Sheet
      className="max-lg:order-first"
      title={`At ${clock(atMs)}: ${planned ? sinkerWords(catalogue, planned, show) : plan ? 'no sinker in the box holds' : '…'}`}
      aside={
        <span className="text-sm text-quiet">
          {show.computed('speed', now.stream.rateMperS)}
          {now.stream.directionDeg !== null && ` to the ${compassPoint(now.stream.directionDeg)}`}, {show.depth(now.depthM)} deep
          {now.wind && `, wind ${show.computed('speed', now.wind.speedMperS)} from ${compassPoint(now.wind.fromDeg)}`}
        </span>
      }
    >
      {now.windOverTide && <p className="mb-1 text-sm text-watch">Wind against the current: a steep sea, and the boat swings.</p>}
      <ul className="mb-2 text-sm" aria-label="What holds">
        {lines.map((line) => (
          <li key={line.name}>
            <Glossed>{holdWords(line, wantedIn(line.settling)(line.settling.weight.shape), show)}</Glossed>
          </li>
        ))}
      </ul>
      <div className="no-print mb-2 grid items-end gap-x-4 gap-y-1 text-sm sm:grid-cols-2">
        <div className="grid gap-0.5">
          <label htmlFor="at-sinker" className="text-quiet">
            sinker
          </label>
          <Select
            id="at-sinker"
            value={chosen}
            onChoose={(next) => setChosen(next)}
            choices={[
              {
                value: 'plan',
                text: planned ? `from the timetable, ${sinkerWords(catalogue, planned, show)}` : 'from the trace',
              },
              ...owned.map((each) => ({ value: nameOf(each), text: sinkerWords(catalogue, each, show) })),
            ]}
          />
        </div>
        <div className="grid gap-0.5">
          <label htmlFor="at-beside" className="text-quiet">
            second line
          </label>
          <Select
            id="at-beside"
            value={beside?.material ?? ''}
            onChoose={(next) => setBeside(besideOf(next))}
            choices={[
              { value: '', text: 'no other line' },
              ...LINES.map((each) => ({ value: each, text: `${catalogue.materials[each].name} main line` })),
            ]}
          />
        </div>
        {beside && (
          <div className="sm:col-start-2">
            <QuantityField
              label="thickness"
              quantity="diameter"
              valueSi={beside.diameterM}
              check={(m) => (m >= 0.00005 && m <= 0.003 ? undefined : 'From 0.05 to 3 mm.')}
              onChange={(diameterM) => setBeside({ ...beside, diameterM })}
            />
          </div>
        )}
      </div>
      <LineInWater lines={lines} height={VIEW_HEIGHT} />
      <HeldOrDragged mark={mark} holds={holds} settling={settling} at={atMs} clock={clock} />
    </Sheet>
  )
})

const HOLDING_WORDS = { holds: 'holds', stillWaterOnly: 'holds only in still water', no: 'does not hold' }

/** What holds a line now, and whether what is on it does. */
function holdWords({ settling: { weight }, name }: Told, wanted: RequiredSinker, show: Show): string {
  if ('trouble' in wanted) return `${name}: no sinker holds: ${wanted.trouble}.`
  const has = `${show.computed('mass', weight.massKg)} ${HOLDING_WORDS[holdingOf(weight.massKg, wanted)]}`
  const reserve = show.number(wanted.wantedKg / wanted.neededKg, 2)
  return `${name}: ${has}. ${show.computed('mass', wanted.neededKg)} is the minimum, ${show.computed('mass', wanted.wantedKg)} with a reserve of ${reserve}.`
}

const LINES: readonly Material[] = ['mono', 'braid', 'fluoro']
/** The thickness that a compared line begins with. */
const BEGINS_M: Partial<Record<Material, number>> = { mono: 0.0005, braid: 0.00028, fluoro: 0.0005 }
const besideOf = (material: Material | ''): Beside | undefined =>
  material === '' ? undefined : { material, diameterM: BEGINS_M[material] ?? 0.0005 }

const nameOf = ({ shape, massKg }: Owned) => `${shape} ${massKg}`

const lineName = (catalogue: Catalogue, outfit: Outfit, show: Show) => {
  const line = mainLine(outfit)
  return `${show.number(lineDiameterM(catalogue, line) * 1000, 2)} mm ${catalogue.materials[line.material].name}`
}
