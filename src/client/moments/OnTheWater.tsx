import { useMemo } from 'react'
import type { Outfit } from '../../core/documents/outfit.ts'
import { MOMENT_NAMES } from '../../core/moments/moments.ts'
import type { TraceContent } from '../../shared/traceContent.ts'
import { useRuleSetInForce } from '../api/useRuleSetInForce.ts'
import { useCatalogue } from '../catalogue/useCatalogue.ts'
import { TakeChart } from '../charts/TakeChart.tsx'
import { VerdictMark } from '../fishing/VerdictMark.tsx'
import { useShow } from '../settings/preferences.tsx'
import { Sheet } from '../ui/controls.tsx'
import { Fault, Loading } from '../ui/states.tsx'
import { momentName } from '../words/momentNames.ts'
import { pieceSpec } from '../words/names.ts'
import { RIGGING_WORDS } from '../words/riggingWords.ts'
import { FindingSentence } from './FindingSentence.tsx'
import { viewOf } from './momentViews.ts'
import { useLaterEvaluation, usePrepared } from './useEvaluation.ts'
import { useTraceFacts } from './useTraceFacts.ts'
import { useWording } from './useWording.ts'

type Props = { content: TraceContent; outfit: Outfit }

/** What goes to the water with a trace: what it is for, the drag to set, its verdicts and what is still open. */
export default function OnTheWater({ content, outfit }: Props) {
  const catalogue = useCatalogue()
  const show = useShow()
  const ruleSet = useRuleSetInForce()
  const { trace, conditions } = content
  const setup = useMemo(() => ({ trace, outfit, conditions, catalogue }), [trace, outfit, conditions, catalogue])
  const prepared = usePrepared(setup)
  const judged = useLaterEvaluation(prepared, ruleSet)
  const wording = useWording(setup)
  const facts = useTraceFacts(content, outfit, prepared)
  return (
    <Sheet title="On the water" aside={<span className="text-sm text-quiet">{show.date(new Date())}</span>}>
      <dl className="grid grid-cols-[6rem_minmax(0,1fr)] gap-x-3 gap-y-1">
        {facts.map(([name, value]) => (
          <div key={name} className="contents">
            <dt className="text-quiet">{name}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
      {judged === undefined ? (
        <Loading what="the verdicts" />
      ) : !judged.ok ? (
        <Fault>{judged.message}</Fault>
      ) : (
        <>
          <ul aria-label="Verdicts" className="mt-2 grid gap-x-8 sm:grid-cols-2">
            {MOMENT_NAMES.map((name) => {
              const moment = judged.value.moments[name]
              return (
                moment && (
                  <li key={name} className="grid grid-cols-[4rem_5rem_minmax(0,1fr)] gap-2 border-t border-rule py-1">
                    <span className="font-semibold">{momentName(name)}</span>
                    <VerdictMark verdict={moment.verdict} />
                    <span className="text-sm">{viewOf(moment).figure(moment, wording)}</span>
                  </li>
                )
              )
            })}
          </ul>
          {(judged.value.moments.take?.hooks ?? []).slice(0, MAX_BAITS).map((baited) => (
            <figure key={baited.bait.id} className="mt-2 flex flex-wrap items-center gap-3">
              <TakeChart baited={baited} freeGape={baited.fit.freeGape} widthPx={BAIT_PX} />
              <figcaption className="text-sm">
                {pieceSpec(catalogue, baited.bait, show)} on {pieceSpec(catalogue, baited.hook, show)}
                {baited.bait.rigging && `, ${RIGGING_WORDS[baited.bait.rigging].name}`}
              </figcaption>
            </figure>
          ))}
          <ul aria-label="Open findings" className="mt-2 grid gap-1">
            {judged.value.findings
              .filter(({ aside }) => aside === undefined)
              .map((finding) => (
                <li key={finding.id}>
                  <FindingSentence finding={finding} />
                </li>
              ))}
          </ul>
        </>
      )}
    </Sheet>
  )
}

/** So many baits are drawn, each so wide, px. */
const MAX_BAITS = 4
const BAIT_PX = 260
