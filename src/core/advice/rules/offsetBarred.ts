import type { Rule } from '../finding.ts'
import { hookKindRule } from './hookKind.ts'

/** Hooks with an offset point where only straight ones are allowed. */
export const offsetBarred: Rule = hookKindRule('offset-barred', {
  asked: ({ ruleSet }) => ruleSet?.nonOffsetOnly,
  breaks: ({ offset }) => offset === true,
  words: 'hooks without offset',
  label: 'use one without offset',
  change: () => ({ offset: false }),
})
