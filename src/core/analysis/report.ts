import type { Severity } from '../advice/finding.ts'
import { tryRemedies } from '../advice/tryRemedies.ts'
import { linkKey } from '../documents/linkRef.ts'
import type { RuleSet } from '../documents/ruleSet.ts'
import { resultsOf } from '../moments/judge.ts'
import type { FigureQuantity, Input, MomentResult } from '../moments/moment.ts'
import { type PhraseFigure, phraseText } from '../units/phrase.ts'
import { isQuantity, QUANTITIES } from '../units/quantities.ts'
import type { Evaluation } from './evaluate.ts'

type ReportedFigure = { name: string; value: number; unit: string }
type ReportedInput = { name: string; value: number | string; unit: string; from: Input['origin'] }
type ReportedMoment = Pick<MomentResult, 'moment' | 'verdict' | 'end' | 'margin'> & {
  decides: string
  figure: ReportedFigure
  inputs: ReportedInput[]
}
type ReportedLink = { id: string; strengthN: number; first: number }

/** An evaluation as the command line and the API give it: SI throughout. */
export type Report = {
  moments: ReportedMoment[]
  links: ReportedLink[]
  findings: { id: string; severity: Severity; why: string; remedy?: string }[]
}

/** Parts that are judged again at most to try remedies: of a large trace only those of the worst findings are tried, and so named. */
const MAX_TRIED_PARTS = 200

/** @param ruleSet the one in force: a remedy is only named once it was tried under it. */
export function reportOf(evaluation: Evaluation, ruleSet: RuleSet | undefined): Report {
  const moments = resultsOf(evaluation).map(({ moment, verdict, end, decides, figure, margin, inputs }) => ({
    moment,
    verdict,
    end,
    decides: linkKey(decides),
    figure: { name: figure.key, value: figure.value, unit: unitOf(figure.quantity) },
    margin,
    inputs: inputs.map(({ key, ref, value, quantity, origin }) => ({
      name: ref ? linkKey(ref) : key,
      value,
      unit: unitOf(quantity),
      from: origin,
    })),
  }))
  const tried = Math.ceil(MAX_TRIED_PARTS / Math.max(1, evaluation.setup.trace.pieces.length))
  const findings = evaluation.findings.map((finding, i) => {
    const { id, severity, why } = finding
    const [best] = i < tried ? tryRemedies(finding, { judgement: evaluation, findings: evaluation.findings, ruleSet }) : []
    return { id, severity, why: phraseText(why, inSi), ...(best ? { remedy: best.label } : {}) }
  })
  return { moments, links: linksOf(evaluation), findings }
}

/** Every link of every path once, with the chance that it goes first in the run or snag that decides it. */
export function linksOf({ paths, moments: { run, snag } }: Evaluation): ReportedLink[] {
  const decided = run?.end ?? snag?.end
  const inOrder = [...paths.filter(({ end }) => end.id === decided), ...paths.filter(({ end }) => end.id !== decided)]
  const links = new Map<string, ReportedLink>()
  for (const path of inOrder)
    for (const [i, { id, strengthN }] of path.links.entries())
      if (!links.has(id)) links.set(id, { id, strengthN, first: path.first[i] ?? 0 })
  return [...links.values()]
}

/** Units of what is no quantity of the application's own; a share, a ratio, a count and a word have none. */
const OTHER_UNITS: Partial<Record<FigureQuantity, string>> = { gearSize: 'm', area: 'm²', duration: 's', angle: 'rad' }

const unitOf = (quantity: FigureQuantity) => (isQuantity(quantity) ? QUANTITIES[quantity].si : (OTHER_UNITS[quantity] ?? ''))

/** A figure of a sentence in SI, three digits: whoever reads a report from a shell knows no units of a person's choice. */
const inSi = (figure: PhraseFigure) =>
  figure.quantity === 'number'
    ? figure.si.toFixed(figure.decimals)
    : `${Number(figure.si.toPrecision(3))} ${QUANTITIES[figure.quantity].si}`
