import type { Evaluation } from '../../../core/moments/evaluate.ts'
import type { MomentName } from '../../../core/moments/moment.ts'
import type { Outfit } from '../../../core/trace/outfit.ts'
import type { Trace } from '../../../core/trace/schema.ts'
import { useShow } from '../../settings/preferences.tsx'
import { VerdictMark } from '../../ui/VerdictMark.tsx'
import { linkName } from '../../words/names.ts'
import { decidesWords, figureWords, MOMENT_NAMES, MOMENT_ORDER } from '../../words/verdictWords.ts'

type Props = {
  evaluation: Evaluation
  trace: Trace
  outfit: Outfit
  open: MomentName | undefined
  onOpen?: (moment: MomentName) => void
}

const ABSENT: Partial<Record<MomentName, string>> = {
  cast: 'Nothing is cast: the trace is lowered.',
  settle: 'Say the depth and the stream below, for a trace with a sinker.',
}

/** One verdict for each moment that applies, with its figure and what decides it. */
export function MomentsBand({ evaluation, trace, outfit, open, onOpen }: Props) {
  const show = useShow()
  return (
    <ul className="grid grid-cols-2 gap-2 md:grid-cols-3 lg:grid-cols-5" aria-label="Moments">
      {MOMENT_ORDER.map((name) => {
        const moment = evaluation[name]
        if (!moment)
          return (
            <li key={name} className="rounded-lg border border-dashed border-rule px-3 py-2 text-quiet">
              <p className="font-semibold">{MOMENT_NAMES[name]}</p>
              <p className="text-sm">{ABSENT[name] ?? 'Does not apply to this trace.'}</p>
            </li>
          )
        const decides = decidesWords(evaluation, name, (id) => linkName(trace, outfit, id), show)
        const inside = (
          <>
            <span className="flex items-center justify-between gap-2">
              <span className="text-base font-semibold">{MOMENT_NAMES[name]}</span>
              <VerdictMark verdict={moment.verdict} />
            </span>
            <span className="block sm:truncate">{figureWords(evaluation, name, show)}</span>
            <span className="block text-sm text-quiet sm:truncate" title={decides}>
              {decides}
            </span>
          </>
        )
        const box = `block w-full rounded-lg border px-3 py-2 text-left ${open === name ? 'border-tide bg-well' : 'border-rule bg-sheet'}`
        return (
          <li key={name} data-moment={name} data-verdict={moment.verdict}>
            {onOpen ? (
              <button
                type="button"
                className={`${box} hover:border-tide`}
                aria-pressed={open === name}
                onClick={() => onOpen(name)}
              >
                {inside}
              </button>
            ) : (
              <div className={box}>{inside}</div>
            )}
          </li>
        )
      })}
    </ul>
  )
}
