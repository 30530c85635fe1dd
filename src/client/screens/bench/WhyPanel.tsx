import type { Cast } from '../../../core/moments/cast.ts'
import type { Evaluation } from '../../../core/moments/evaluate.ts'
import type { Hand } from '../../../core/moments/hand.ts'
import type { Input, MomentName } from '../../../core/moments/moment.ts'
import type { Run } from '../../../core/moments/run.ts'
import type { Settle } from '../../../core/moments/settle.ts'
import type { Snag } from '../../../core/moments/snag.ts'
import type { Conditions } from '../../../core/trace/conditions.ts'
import type { Outfit } from '../../../core/trace/outfit.ts'
import type { Trace } from '../../../core/trace/schema.ts'
import { type Show, useShow } from '../../settings/preferences.tsx'
import { Sheet } from '../../ui/controls.tsx'
import { FROM } from '../../words/derivationWords.ts'
import { linkName } from '../../words/names.ts'
import { theName } from '../../words/placeWords.ts'
import { fuseWords, MOMENT_NAMES, percent } from '../../words/verdictWords.ts'
import { CastWhy } from './CastWhy.tsx'
import { DerivationPanel } from './DerivationPanel.tsx'
import { HandWhy } from './HandWhy.tsx'
import { RunWhy } from './RunWhy.tsx'
import { SettleWhy } from './SettleWhy.tsx'

type Props = { moment: MomentName; evaluation: Evaluation; trace: Trace; outfit: Outfit; conditions: Conditions }

const RULES: Record<MomentName, string> = {
  cast: 'Weakest link on the cast path over the peak pull: 3 or more holds, 2 or more is to be watched. A lead that breaks off can kill: clear the beach behind and ahead.',
  settle:
    'The sinker against the least that holds at the stream’s peak, times the method’s reserve. Down to what holds at two thirds of the peak it is to be watched: it holds part of the tide. Still water: swell and weed want more.',
  run: 'The drag set against the highest safe setting: within it holds, up to 1.15 times is to be watched. Under 98 % survival at the peak it is never better than watch.',
  snag: 'Weak link: it should go first in 98 of 100 pulls. Otherwise the main line should be kept in 9 of 10. Turn away from a pull for a break; never wrap line round a hand.',
  hand: 'The weakest from the hand to the hook over the dead weight of the fish: 3 or more holds, 2 or more is to be watched. Out of reach is never better than watch. A heavy fish is netted, not lifted.',
}

/** What a verdict rests on: its rule, its inputs with where each came from, and what follows. */
export function WhyPanel({ moment: name, evaluation, trace, outfit, conditions }: Props) {
  const show = useShow()
  const moment = evaluation[name]
  if (!moment) return null
  return (
    <Sheet title={`Why: ${MOMENT_NAMES[name]}`} aside={<DerivationPanel fished={{ trace, outfit, conditions }} moment={name} />}>
      <p className="mb-2 text-sm text-quiet">{RULES[name]} All figures are estimates.</p>
      {name === 'cast' && <CastWhy cast={moment as Cast} />}
      {name === 'settle' && <SettleWhy settle={moment as Settle} />}
      {name === 'run' && <RunWhy run={moment as Run} trace={trace} outfit={outfit} conditions={conditions} />}
      {name === 'snag' && <SnagPaths snag={moment as Snag} trace={trace} outfit={outfit} />}
      {name === 'hand' && <HandWhy hand={moment as Hand} trace={trace} outfit={outfit} />}
      <table className="w-full text-sm">
        <caption className="sr-only">Inputs of {MOMENT_NAMES[name]}</caption>
        <tbody>
          {moment.inputs.map((input) => (
            <tr key={input.name} className="border-t border-rule">
              <th scope="row" className="py-0.5 pr-2 text-left font-normal">
                {input.unit === 'N' && name === 'snag' ? linkName(trace, outfit, input.name) : input.name}
              </th>
              <td className="pr-2 text-right whitespace-nowrap">{inputWords(input, show)}</td>
              <td className="text-right text-quiet">{FROM[input.from]}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Sheet>
  )
}

function inputWords({ name, value, unit }: Input, show: Show): string {
  if (typeof value === 'string') return value
  if (unit === 'N') return show.computed('strength', value)
  if (unit === 'kg') return show.computed(name === 'fish' ? 'fish' : 'mass', value)
  if (unit === 'm/s') return show.computed('speed', value)
  if (name === 'line’s thickness') return show.computed('diameter', value)
  // A spool's radius is a size of gear, not a length of line.
  if (unit === 'm') return name.startsWith('spool') ? `${(value * 1000).toFixed(1)} mm` : show.computed('length', value)
  if (unit === 's') return `${value.toFixed(0)} s`
  if (unit === 'rad') return `${((value * 180) / Math.PI).toFixed(0)}°`
  return name.startsWith('chance') ? percent(value, 1) : value.toFixed(2)
}

function SnagPaths({ snag, trace, outfit }: { snag: Snag; trace: Trace; outfit: Outfit }) {
  return (
    <ul className="mb-2 grid gap-1 text-sm">
      {snag.paths.map(({ end, goesFirst, lost, replacement }) => (
        <li key={end}>
          From {theName(trace, end)}: {fuseWords(goesFirst, (id) => linkName(trace, outfit, id))}; {lostWords(lost, trace)},{' '}
          {replacement.cost.toFixed(2)} units and {replacement.minutes.toFixed(0)} min to re-rig.
        </li>
      ))}
    </ul>
  )
}

/** A few parts by name, many by their number. */
function lostWords(lost: readonly string[], trace: Trace): string {
  if (lost.length === trace.pieces.length) return 'the whole trace is lost'
  if (lost.length > 4) return `${lost.length} of ${trace.pieces.length} parts are lost`
  return `lost: ${lost.map((id) => id.replaceAll('-', ' ')).join(', ')}`
}
