import type { Conditions } from '../../core/documents/conditions.ts'
import type { BiteTrace } from '../../core/purpose/biteTrace.ts'

export const CLARITY_WORDS: Record<NonNullable<Conditions['clarity']>, string> = {
  clear: 'clear water',
  coloured: 'coloured water',
}
export const LIGHT_WORDS: Record<NonNullable<Conditions['light']>, string> = { day: 'by day', night: 'by night' }

export const BITE_WORDS: Record<BiteTrace, string> = {
  none: 'none, strong line',
  longShank: 'a long shank',
  linkedHooks: 'linked hooks',
  wire: 'wire',
}

/** What a trace is made for, in one line; empty where nobody said. */
export function madeForWords({ target, clarity, light }: Conditions, mark?: string): string {
  const parts = [target?.name, mark, clarity && CLARITY_WORDS[clarity], light && LIGHT_WORDS[light]].filter(
    (part) => part !== undefined,
  )
  return parts.length > 0 ? `for ${parts.join(', ')}` : ''
}
