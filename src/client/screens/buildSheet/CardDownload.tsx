import { useMutation } from '@tanstack/react-query'
import { useEffect, useRef } from 'react'
import type { PlannedNeed } from '../../../core/batch/batchPlan.ts'
import { buildSteps } from '../../../core/build/steps.ts'
import { MOMENT_NAMES } from '../../../core/moments/moments.ts'
import type { Setup } from '../../../core/setup/setup.ts'
import type { CardBody, CardSection } from '../../../shared/print.ts'
import type { TraceContent } from '../../../shared/traceContent.ts'
import { printCard } from '../../api/print.ts'
import { useRuleSetInForce } from '../../api/useRuleSetInForce.ts'
import { StillReach } from '../../charts/StillReach.tsx'
import { svgShapes } from '../../charts/svgShapes.ts'
import { viewOf } from '../../moments/momentViews.ts'
import { useEvaluation, usePrepared } from '../../moments/useEvaluation.ts'
import { useTraceFacts } from '../../moments/useTraceFacts.ts'
import { useWording } from '../../moments/useWording.ts'
import { spoken } from '../../regional/spoken.ts'
import { toast } from '../../regional/toast.ts'
import { useShow } from '../../settings/preferences.tsx'
import { downloadFile, fileName } from '../../ui/download.ts'
import { momentName } from '../../words/momentNames.ts'
import { needWords } from '../../words/needWords.ts'
import { stepWords } from './stepWords.ts'

/** The drawing is laid out for this width, px, and scaled to the paper. */
const DRAWING_PX = 1_000

const CAUTION =
  'Wet every knot and tighten it slowly; test it by hand against a fixed point, eyes protected and points covered. ' +
  'Values are nominal estimates. Local rules and the licensed skipper come first.'

type Props = { content: TraceContent; setup: Setup; plan: readonly PlannedNeed[]; about: string; onDone: () => void }

/** Makes the card of a trace as a PDF and hands it to the browser. Its drawing is on the page, out of sight, until it is done. */
export default function CardDownload({ content, setup, plan, about, onDone }: Props) {
  const show = useShow()
  const drawing = useRef<SVGSVGElement>(null)
  const judged = useEvaluation(setup, useRuleSetInForce())
  const facts = useTraceFacts(content, setup.outfit, usePrepared(setup))
  const wording = useWording(setup)
  const { catalogue, trace } = setup
  const cuts = plan.flatMap(({ need }) =>
    need.kind === 'line'
      ? need.cuts.map(({ cutM, perTrace, of }): [string, string] => [
          `${perTrace > 1 ? `${perTrace} × ` : ''}${show.tape(cutM)}`,
          `${needWords(catalogue, need, show)}: ${of.map((ids) => ids.map((id) => id.replaceAll('-', ' ')).join(' and ')).join(', ')}`,
        ])
      : [],
  )
  const parts = plan.flatMap(({ need }) =>
    need.kind === 'part' ? [`${need.perTrace} × ${needWords(catalogue, need, show)}`] : [],
  )
  const verdicts = judged.ok
    ? MOMENT_NAMES.flatMap((name): [string, string][] => {
        const moment = judged.value.moments[name]
        return moment ? [[momentName(name), `${moment.verdict}. ${viewOf(moment).figure(moment, wording)}`]] : []
      })
    : [judged.message]
  const steps = buildSteps(setup).map((step) => {
    const { text, why } = stepWords(step, setup, show)
    return why ? `${text} ${why}` : text
  })
  const sections: CardSection[] = [
    { title: 'On the water', rows: facts },
    { title: 'Verdicts', rows: verdicts },
    { title: 'Cut', rows: cuts },
    { title: 'Parts', rows: [parts.join(', ')] },
    { title: 'Thread and tie', rows: steps, isNumbered: true },
  ]
  const make = useMutation({
    mutationFn: (body: CardBody) => printCard(body),
    onSuccess: (file) => downloadFile(fileName(`${trace.name} card`, 'pdf'), file),
    onError: (error) => toast.error(`The card could not be made. ${error.message}`),
    onSettled: onDone,
  })
  const { mutate } = make
  const body = useRef(() => undefined as CardBody | undefined)
  body.current = () =>
    drawing.current
      ? {
          paper: 'A4',
          title: trace.name,
          about,
          drawing: {
            width: drawing.current.width.baseVal.value,
            height: drawing.current.height.baseVal.value,
            shapes: svgShapes(drawing.current),
          },
          sections: sections.map((section) => inRegion(section)),
          caution: spoken(CAUTION),
        }
      : undefined
  useEffect(() => {
    const made = body.current()
    if (made) mutate(made)
  }, [mutate])
  return (
    <div className="pointer-events-none absolute -left-[3000px]" aria-hidden="true" inert>
      <StillReach ref={drawing} rig={setup} width={DRAWING_PX} />
    </div>
  )
}

/** In the words of the region, which elsewhere come with the page. */
const inRegion = ({ title, rows, ...rest }: CardSection): CardSection => ({
  ...rest,
  title: spoken(title),
  rows: rows.map((row) => (typeof row === 'string' ? spoken(row) : [spoken(row[0]), spoken(row[1])])),
})
