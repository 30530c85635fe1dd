import { type Evaluation, linksOf, momentsOf } from './evaluate.ts'
import type { Moment } from './moment.ts'

/** An evaluation as the command line and the API give it. */
export type Report = {
  moments: Moment[]
  links: { id: string; strengthN: number; first: number }[]
  findings: Evaluation['findings']
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
  return { moments, links: linksOf(evaluation), findings: evaluation.findings }
}
