import { hookDimensions, isCircle } from '../../catalogue/hooks.ts'
import type { HookPattern } from '../../catalogue/ids.ts'
import type { HookPiece } from '../../documents/trace.ts'
import type { Judged, Rule } from '../finding.ts'
import { hookKindRule } from './hookKind.ts'

/** Hooks that are not circles where circles are required. */
export const circleRequired: Rule = hookKindRule('circle-required', {
  asked: ({ ruleSet }) => ruleSet?.circleOnly,
  breaks: ({ pattern }) => !isCircle(pattern),
  words: 'circle hooks',
  label: 'use a circle hook with the same gap',
  change: (hook, judged) => ({ pattern: 'circle', size: asWide(hook, 'circle', judged) }),
})

/** The smallest of a pattern with at least the gape of a hook, for patterns go by numbers of their own. */
export function asWide(hook: HookPiece, pattern: HookPattern, { setup: { catalogue } }: Judged): string {
  const gapeM = hookDimensions(catalogue, hook.pattern, hook.size, hook)?.gapeM ?? 0
  return catalogue.hooks.sizes.find((size) => (hookDimensions(catalogue, pattern, size)?.gapeM ?? 0) >= gapeM * 0.98) ?? hook.size
}
