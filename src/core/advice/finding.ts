import type { Conditions } from '../documents/conditions.ts'
import type { RuleSet } from '../documents/ruleSet.ts'
import type { Trace } from '../documents/trace.ts'
import type { Judgement } from '../moments/judge.ts'
import type { Verdict } from '../moments/moment.ts'
import type { MomentName } from '../moments/moments.ts'
import type { Phrase } from '../units/phrase.ts'

/** `fault`: it will go wrong. `caution`: it may well. `note`: worth knowing. */
export type Severity = 'fault' | 'caution' | 'note'

/** How bad a finding is: larger is worse. */
export const SEVERITY_RANK: Readonly<Record<Severity, number>> = { note: 0, caution: 1, fault: 2 }

/** How bad a finding is that explains a verdict. */
export const SEVERITY_OF: Readonly<Record<Verdict, Severity>> = { holds: 'note', watch: 'caution', fails: 'fault' }

/** What a remedy makes of a trace and of the conditions it is fished under; what it leaves out stays. */
export type Remedied = { trace?: Trace; conditions?: Conditions }

/** One step that fixes a finding, likeliest first; `make` returns undefined where it cannot be done. */
export type Remedy = { label: string; make: () => Remedied | undefined }

/** What is wrong, or worth knowing, in one sentence with its figure. */
export type Finding = {
  /** The rule, and the part it speaks of where there may be several. */
  id: string
  rule: string
  subject?: string
  /** The parts, or lines of the outfit, that it is about: with the same part, one finding may be the cause of another. */
  about: readonly string[]
  /** Moments whose verdict it gives the reason of. */
  explains: readonly MomentName[]
  severity: Severity
  why: Phrase
  /** How bad it is, by the rule's own measure: larger is worse. */
  figure: number
  /** Set aside on this trace, and why; it comes back when the figure gets worse. */
  aside?: string
  remedies: readonly Remedy[]
  /** Findings that follow from this one and are shown as part of it. */
  effects: readonly Finding[]
  /** The finding without its effects, where it has some. */
  alone?: Finding
}

/** What a rule looks at: what the moments say, and the rule set in force. */
export type Judged = Judgement & { ruleSet: RuleSet | undefined }

/** What a rule finds; whoever asks it adds the rest. It is about its subject where nothing else is said. */
export type Found = Omit<Finding, 'id' | 'rule' | 'aside' | 'about' | 'explains' | 'effects'> & { about?: readonly string[] }

/** A rule looks at one thing and says what it finds; `explains`: the moments whose verdict it gives the reason of. */
export type Rule = { id: string; explains?: readonly MomentName[]; check: (judged: Judged) => Found[] }
