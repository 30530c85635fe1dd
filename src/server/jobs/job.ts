import { evaluate } from '../../core/analysis/evaluate.ts'
import { parseRequest } from '../../core/analysis/parseRequest.ts'
import { reportOf } from '../../core/analysis/report.ts'
import { type CalculationName, calculate } from '../../core/calculations/registry.ts'
import { NOMINAL_CATALOGUE, type OwnConnection, withOwn } from '../../core/catalogue/catalogue.ts'
import { type Issue, plainIssues } from '../../core/documents/issue.ts'
import { CoreError } from '../../core/errors.ts'
import { activePulls, ownConnections } from '../../core/learning/knotLessons.ts'
import type { Sums } from '../../core/lessons/sums.ts'
import { parseObservations } from '../../shared/observations.ts'
import type { CardBody, LabelsBody } from '../../shared/print.ts'
import { addUpKept, type ToTally, tallyTrips } from '../lessons/tally.ts'
import { cardPdf } from '../print/cardPdf.ts'
import { labelsPdf } from '../print/labelsPdf.ts'

/** Work that may take a while, asked of the server. */
export type Job =
  | { kind: 'calculate'; name: CalculationName; input: unknown }
  /** `own`: what the crew’s pulls lay over the nominal figures. */
  | { kind: 'evaluate'; request: unknown; own: readonly OwnConnection[] }
  /** Pulls and retractions as a text of JSON. */
  | { kind: 'ownFigures'; observations: string }
  | { kind: 'tallyTrips'; input: ToTally }
  /** Tallies as a text of JSON. */
  | { kind: 'addUp'; trips: Sums['trips']; kept: string }
  | { kind: 'labelsPdf'; body: LabelsBody }
  | { kind: 'cardPdf'; body: CardBody }

/** What came out, or why nothing did: as data, since a thrown error loses its code on its way between threads. */
export type JobAnswer =
  | { kind: 'done'; output: unknown }
  | { kind: 'invalid'; issues: Issue[] }
  | { kind: 'refused'; code: CoreError['code']; message: string; details: CoreError['details'] }

/** Does a job. Runs in a thread of the pool. */
export async function doJob(job: Job): Promise<JobAnswer> {
  try {
    switch (job.kind) {
      case 'calculate':
        return calculated(job.name, job.input)
      case 'evaluate':
        return evaluated(job.request, job.own)
      case 'ownFigures':
        return ownFigures(job.observations)
      case 'tallyTrips':
        return { kind: 'done', output: tallyTrips(job.input) }
      case 'addUp':
        return { kind: 'done', output: addUpKept(job.trips, job.kept) }
      case 'labelsPdf':
        return { kind: 'done', output: await labelsPdf(job.body) }
      case 'cardPdf':
        return { kind: 'done', output: await cardPdf(job.body) }
    }
  } catch (error) {
    if (!(error instanceof CoreError)) throw error
    const { code, message, details } = error
    return { kind: 'refused', code, message, details }
  }
}

function calculated(name: CalculationName, input: unknown): JobAnswer {
  const outcome = calculate(name, input)
  return outcome.ok ? { kind: 'done', output: outcome.output } : { kind: 'invalid', issues: plainIssues(outcome.issues) }
}

function evaluated(request: unknown, own: readonly OwnConnection[]): JobAnswer {
  const parsed = parseRequest(request, withOwn(NOMINAL_CATALOGUE, own))
  if (!parsed.ok) return { kind: 'invalid', issues: parsed.issues }
  const { setup, ruleSet } = parsed.request
  return { kind: 'done', output: reportOf(evaluate(setup, ruleSet), ruleSet) }
}

function ownFigures(observations: string): JobAnswer {
  const pulls = activePulls(parseObservations(JSON.parse(observations)))
  return { kind: 'done', output: ownConnections(NOMINAL_CATALOGUE, pulls) }
}
