import { memo } from 'react'
import type { Evaluation } from '../../../core/analysis/evaluate.ts'
import { MOMENT_NAMES, type MomentName } from '../../../core/moments/moments.ts'
import { VerdictMark } from '../../fishing/VerdictMark.tsx'
import { absentWords, viewOf } from '../../moments/momentViews.ts'
import { useWording } from '../../moments/useWording.ts'
import { momentName } from '../../words/momentNames.ts'

type Props = { evaluation: Evaluation; open: MomentName | undefined; onOpen: (moment: MomentName) => void }

/** A number and what it counts stay on one line. */
const unbroken = (text: string) => text.replace(/(\d) (?=\S)/g, '$1\u00a0')

/** One verdict for each moment that applies, with its figure and what decides it. */
export const MomentsBand = memo(function MomentsBand({ evaluation, open, onOpen }: Props) {
  const wording = useWording(evaluation.setup)
  return (
    <ul className="grid grid-cols-2 gap-2 md:grid-cols-3 lg:grid-cols-6" aria-label="Moments">
      {MOMENT_NAMES.map((name) => {
        const moment = evaluation.moments[name]
        if (!moment)
          return (
            <li key={name} className="rounded-lg border border-dashed border-rule px-3 py-2 text-quiet">
              <p className="font-semibold">{momentName(name)}</p>
              <p className="text-sm">{absentWords(name, evaluation.setup)}</p>
            </li>
          )
        const view = viewOf(moment)
        const decides = view.decides(moment, wording)
        const inside = (
          <>
            <span className="flex items-center justify-between gap-2">
              <span className="text-base font-semibold">{momentName(name)}</span>
              <VerdictMark verdict={moment.verdict} />
            </span>
            <span className="block text-balance sm:line-clamp-2">{unbroken(view.figure(moment, wording))}</span>
            <span className="block text-sm leading-snug text-quiet sm:line-clamp-2" title={decides}>
              {unbroken(decides)}
            </span>
          </>
        )
        const box = `grid h-full w-full content-start rounded-lg border px-2.5 py-1.5 text-left ${open === name ? 'border-tide bg-well' : 'border-rule bg-sheet'}`
        return (
          <li key={name} data-moment={name} data-verdict={moment.verdict}>
            <button
              type="button"
              className={`${box} hover:border-tide`}
              aria-pressed={open === name}
              onClick={() => onOpen(name)}
            >
              {inside}
            </button>
          </li>
        )
      })}
    </ul>
  )
})
