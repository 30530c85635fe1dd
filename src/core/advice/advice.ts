import type { Workings } from '../moments/workings.ts'
import { dragOverReel } from './dragOverReel.ts'
import { spoolOverfull } from './spoolOverfull.ts'
import { spoolUnderfilled } from './spoolUnderfilled.ts'

/** What is wrong, or worth knowing, in one sentence with its figure. */
export type Finding = { id: string; severity: 'fault' | 'caution' | 'note'; why: string }

/** A rule looks at one thing and says so, or says nothing. */
export type Rule = (workings: Workings) => Finding | undefined

const RULES: readonly Rule[] = [dragOverReel, spoolOverfull, spoolUnderfilled]

export function adviceOn(workings: Workings): Finding[] {
  return RULES.map((rule) => rule(workings)).filter((finding) => finding !== undefined)
}
