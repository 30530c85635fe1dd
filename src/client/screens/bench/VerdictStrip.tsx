import type { Evaluation } from '../../../core/analysis/evaluate.ts'
import { MOMENT_NAMES } from '../../../core/moments/moments.ts'
import { VerdictMark } from '../../fishing/VerdictMark.tsx'
import { momentName } from '../../words/momentNames.ts'

/** The six verdicts in one line that stays in sight while the page scrolls. To be seen only: the cards under it say it all. */
export const VerdictStrip = ({ evaluation }: { evaluation: Evaluation }) => (
  <div
    aria-hidden="true"
    className="sticky top-0 z-10 -mx-3 grid grid-cols-6 gap-1 border-b border-rule bg-ground px-3 py-1 text-sm"
  >
    {MOMENT_NAMES.map((name) => {
      const moment = evaluation.moments[name]
      return (
        <span key={name} className="grid justify-items-center">
          {momentName(name)}
          {moment ? <VerdictMark verdict={moment.verdict} word={false} /> : <span className="text-quiet">–</span>}
        </span>
      )
    })}
  </div>
)
