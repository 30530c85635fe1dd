import type { Steps } from '../math/steps.ts'
import { type EndPath, type PreparedSetup, prepareSetup } from '../setup/prepareSetup.ts'
import type { Setup } from '../setup/setup.ts'
import { type AnyResult, MOMENT_NAMES, MOMENTS, type MomentName, type Moments } from './moments.ts'

/** What the moments say of a setup, and what they worked it out from. */
export type Judgement = { setup: PreparedSetup; moments: Moments }

/**
 * Judges a setup through the moments that are asked for, or through every one.
 * The trace must be sound (`parseTrace`) and fit the outfit (`fitIssues`).
 * @throws CoreError where the spool cannot give the line out, or a slider has nothing to bear on.
 */
export const judge = (setup: Setup, names?: readonly MomentName[]): Judgement => judgePrepared(prepareSetup(setup), names)

/** The same of a setup that is worked out so far. */
export function judgePrepared(prepared: PreparedSetup, names: readonly MomentName[] = MOMENT_NAMES): Judgement {
  return { setup: prepared, moments: Object.fromEntries(names.map((name) => [name, MOMENTS[name].judge(prepared)])) }
}

/** The same through every moment, in steps of one path or one moment. */
export function* judgeInSteps(prepared: PreparedSetup): Steps<Judgement> {
  for (const { id } of prepared.ends) {
    prepared.path(id)
    yield
  }
  const moments: Moments = {}
  for (const name of MOMENT_NAMES) {
    Object.assign(moments, judgePrepared(prepared, [name]).moments)
    yield
  }
  return { setup: prepared, moments }
}

/** The results of the moments that apply, in the order of a trip. */
export function resultsOf({ moments }: Pick<Judgement, 'moments'>): AnyResult[] {
  return MOMENT_NAMES.flatMap((name): AnyResult[] => {
    const result = moments[name]
    return result ? [result] : []
  })
}

/** Every path from the reel to an end, in the order of the document. */
export const pathsOf = ({ setup }: Pick<Judgement, 'setup'>): EndPath[] => setup.ends.map(({ id }) => setup.path(id))
