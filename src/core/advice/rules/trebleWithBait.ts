import { baitedHooks } from '../../setup/baiting.ts'
import type { Rule } from '../finding.ts'
import { asWide } from './circleRequired.ts'
import { hookKindRule } from './hookKind.ts'

/** A treble in a bait where only single hooks may hold one. */
export const trebleWithBait: Rule = hookKindRule('treble-with-bait', {
  asked: ({ ruleSet }) => ruleSet && !ruleSet.trebleWithBait,
  breaks: ({ id, pattern }, { setup }) =>
    pattern === 'treble' &&
    baitedHooks(setup).some(({ bait, hooks }) => bait.role === 'bait' && hooks.some((hook) => hook.id === id)),
  words: 'single hooks in a bait',
  label: 'use a single hook with the same gap',
  change: (hook, judged) => ({ pattern: 'j', size: asWide(hook, 'j', judged) }),
})
