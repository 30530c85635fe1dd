import type { Rule } from '../finding.ts'
import { hookKindRule } from './hookKind.ts'

/** Barbed hooks where barbs must be off or crushed. */
export const barblessRequired: Rule = hookKindRule('barbless-required', {
  asked: ({ ruleSet }) => ruleSet?.barblessOnly,
  breaks: ({ barbless }) => barbless !== true,
  words: 'barbless hooks',
  label: 'crush the barb',
  change: () => ({ barbless: true }),
})
