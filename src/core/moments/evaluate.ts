import { adviceOn } from '../advice/advice.ts'
import type { Finding } from '../advice/finding.ts'
import type { SpoolFill } from '../spool/fill.ts'
import type { Link } from '../strength/pathLinks.ts'
import type { Conditions } from '../trace/conditions.ts'
import type { Outfit } from '../trace/outfit.ts'
import type { RuleSet } from '../trace/ruleSet.ts'
import type { Trace } from '../trace/schema.ts'
import { type Cast, castMoment } from './cast.ts'
import { type Hand, handMoment } from './hand.ts'
import { type Run, runMoment } from './run.ts'
import { type Settle, settleMoment } from './settle.ts'
import { type Snag, snagMoment } from './snag.ts'
import { prepare, type Workings } from './workings.ts'

/** Everything the bench shows of one trace on one outfit under one set of conditions. */
export type Evaluation = {
  cast: Cast | undefined
  settle: Settle | undefined
  run: Run | undefined
  snag: Snag | undefined
  hand: Hand | undefined
  spool: SpoolFill
  findings: Finding[]
}

/**
 * Judges a trace on an outfit under conditions, through every moment that applies.
 * The trace must be sound (`parseTrace`) and fit the outfit (`fitIssues`).
 * @param ruleSet the rule set in force, for the findings that remind of it.
 * @throws CoreError where the spool cannot give the line out, or a slider has nothing to bear on.
 */
export function evaluate(trace: Trace, outfit: Outfit, conditions: Conditions, ruleSet?: RuleSet): Evaluation {
  const workings: Workings = prepare(trace, outfit, conditions)
  const moments = {
    cast: castMoment(workings),
    settle: settleMoment(workings),
    run: runMoment(workings),
    snag: snagMoment(workings),
    hand: handMoment(workings),
  }
  return { ...moments, spool: workings.spool, findings: adviceOn({ workings, ruleSet, ...moments }) }
}

/** The moments that apply, in the order of a trip. */
export function momentsOf({ cast, settle, run, snag, hand }: Evaluation) {
  return [cast, settle, run, snag, hand].filter((moment) => moment !== undefined)
}

/** Every link of every path once, with the chance that it goes first in the run or snag that decides it. */
export function linksOf({ run, snag }: Evaluation): { id: string; strengthN: number; first: number }[] {
  const paths: { end: string; links: Link[]; first: number[] }[] = snag?.paths ?? []
  const decided = run?.end ?? snag?.end
  const inOrder = [...paths.filter(({ end }) => end === decided), ...paths.filter(({ end }) => end !== decided)]
  const links = new Map<string, { id: string; strengthN: number; first: number }>()
  for (const path of inOrder)
    for (const [i, { id, strengthN }] of path.links.entries())
      if (!links.has(id)) links.set(id, { id, strengthN, first: path.first[i]! })
  return [...links.values()]
}
