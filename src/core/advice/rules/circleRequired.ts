import type { Rule } from '../finding.ts'
import { hookKindRule } from './hookKind.ts'

/** Hooks that are not circles where circles are required. */
export const circleRequired: Rule = hookKindRule('circle-required', {
  asked: ({ ruleSet }) => ruleSet?.circleOnly,
  breaks: ({ pattern }) => pattern !== 'circle',
  words: 'circle hooks',
  label: 'take a circle of that size',
  change: { pattern: 'circle' },
})
