import { CoreError } from '../errors.ts'
import { fitIssues } from '../joints/fitIssues.ts'
import type { Steps } from '../math/steps.ts'
import { type Judgement, judge, resultsOf } from '../moments/judge.ts'
import { type Verdict, worseVerdict } from '../moments/moment.ts'
import type { Setup } from '../setup/setup.ts'
import { soundnessIssues } from '../soundness/soundness.ts'

/** What is worked out of a setup, or in a sentence why it cannot be judged as it stands. */
export type WorkedOut<T> = { ok: true; value: T } | { ok: false; message: string }

export function workedOut<T>(setup: Setup, work: (setup: Setup) => T): WorkedOut<T> {
  const [fault] = [...soundnessIssues(setup.trace, setup.catalogue), ...fitIssues(setup)]
  return fault ? { ok: false, message: `This trace has an error: ${fault.message}.` } : tried(() => work(setup))
}

/** Something of the core, or in its own words why it has no answer. */
export function tried<T>(work: () => T): WorkedOut<T> {
  try {
    return { ok: true, value: work() }
  } catch (error) {
    return whyNot(error)
  }
}

/** The same of work in steps. */
export function* triedInSteps<T>(steps: Steps<T>): Steps<WorkedOut<T>> {
  try {
    return { ok: true, value: yield* steps }
  } catch (error) {
    return whyNot(error)
  }
}

function whyNot(error: unknown): { ok: false; message: string } {
  if (error instanceof CoreError) return { ok: false, message: `${error.message}.` }
  throw error
}

export type Judged = WorkedOut<Judgement>
/** Verdicts alone, for lists: what is found and what fixes it is the bench’s. */
export const judged = (setup: Setup): Judged => workedOut(setup, judge)

/** The worst that any moment says; what cannot be judged fails. */
export function worstVerdict(judged: Judged): Verdict {
  if (!judged.ok) return 'fails'
  return resultsOf(judged.value).reduce<Verdict>((worst, { verdict }) => worseVerdict(worst, verdict), 'holds')
}
