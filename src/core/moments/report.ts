import type { Severity } from '../advice/finding.ts'
import { type Figure, phraseText } from '../advice/phrase.ts'
import { QUANTITIES } from '../units/quantities.ts'
import { type Evaluation, linksOf, momentsOf } from './evaluate.ts'
import type { Moment } from './moment.ts'

/** An evaluation as the command line and the API give it. */
export type Report = {
  moments: Moment[]
  links: { id: string; strengthN: number; first: number }[]
  findings: { id: string; severity: Severity; why: string; remedy?: string }[]
}

export function reportOf(evaluation: Evaluation): Report {
  const moments = momentsOf(evaluation).map(
    ({ moment, verdict, end, decides, figure, margin, inputs }): Moment => ({
      moment,
      verdict,
      end,
      decides,
      figure,
      margin,
      inputs,
    }),
  )
  const findings = evaluation.findings.map(({ id, severity, why, remedies }) => ({
    id,
    severity,
    why: phraseText(why, inSi),
    ...(remedies[0] ? { remedy: remedies[0].label } : {}),
  }))
  return { moments, links: linksOf(evaluation), findings }
}

/** A figure of a sentence in SI, three digits: whoever reads a report from a shell knows no units of a person's choice. */
const inSi = ({ quantity, si }: Figure) => `${Number(si.toPrecision(3))} ${QUANTITIES[quantity].si}`
