import type { Cast } from '../moments/cast.ts'
import type { Hand } from '../moments/hand.ts'
import type { Run } from '../moments/run.ts'
import type { Settle } from '../moments/settle.ts'
import type { Snag } from '../moments/snag.ts'
import type { Workings } from '../moments/workings.ts'
import type { Conditions } from '../trace/conditions.ts'
import type { RuleSet } from '../trace/ruleSet.ts'
import type { Trace } from '../trace/schema.ts'
import type { Phrase } from './phrase.ts'

/** `fault`: it will go wrong. `caution`: it may well. `note`: worth knowing. */
export type Severity = 'fault' | 'caution' | 'note'

/** What a remedy makes of a trace and of how it is fished; what it leaves out stays. */
export type Mended = { trace?: Trace; conditions?: Conditions }

/** One step that mends a finding, likeliest first; `make` returns undefined where it cannot be done. */
export type Remedy = { label: string; make: () => Mended | undefined }

/** What is wrong, or worth knowing, in one sentence with its figure. */
export type Finding = {
  /** The rule, and the part it speaks of where there may be several. */
  id: string
  rule: string
  subject?: string
  severity: Severity
  why: Phrase
  /** How bad it is, by the rule's own measure: larger is worse. */
  figure: number
  /** Set aside on this trace, and why; it comes back when the figure gets worse. */
  aside?: string
  remedies: readonly Remedy[]
}

/** What a rule looks at: the trace judged, and the rule set in force. */
export type Judged = {
  workings: Workings
  cast: Cast | undefined
  settle: Settle | undefined
  run: Run | undefined
  snag: Snag | undefined
  hand: Hand | undefined
  ruleSet: RuleSet | undefined
}

/** A rule looks at one thing and says what it finds. */
export type Rule = { id: string; check: (judged: Judged) => Omit<Finding, 'id' | 'rule' | 'aside'>[] }
