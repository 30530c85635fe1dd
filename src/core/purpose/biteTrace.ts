import type { Purpose } from './purpose.ts'

/** What is between teeth and the line. */
export const BITE_TRACES = ['none', 'longShank', 'linkedHooks', 'wire'] as const
export type BiteTrace = (typeof BITE_TRACES)[number]

/** Bites that each costs where fish see it. Nominal, ours. */
const BITES_LOST: Readonly<Record<BiteTrace, number>> = { none: 0, longShank: 0.05, linkedHooks: 0.1, wire: 0.3 }
/** Of that, in coloured water or by night; and times that a shy fish minds it. Nominal, ours. */
const UNSEEN = 0.5
const SHY = 1.5
/** Mono at the hook past which wire is thinner and safer, N: about 110 lb. Ours. */
const MAX_MONO_N = 490

export type BiteTraceAdvice = { kind: BiteTrace; bitesLost: number; why: string; barred: boolean }

const WHY: Readonly<Record<BiteTrace, string>> = {
  none: 'Line strong enough for the teeth. Check it for damage after each fish.',
  longShank: 'The shank protects against teeth. The point is farther from the eye.',
  linkedHooks: 'Hooks in a row hold a long bait. The upper ones protect the line.',
  wire: 'No fish bites through it. It kinks and shows, and its cut ends are sharp.',
}

/**
 * What may stand between teeth and line, the default first, each with the share of bites that it costs.
 * @param atHookN label that the teeth ask of mono at the hook, N.
 * Source: ours, on the craft’s schools: wire only against proven teeth, always, or never.
 */
export function biteTracesFor(purpose: Purpose, atHookN: number): BiteTraceAdvice[] {
  const { target, clarity, light, ruleSet } = purpose
  const seen = clarity === 'coloured' || light === 'night' ? UNSEEN : 1
  const usual: BiteTrace = target?.teeth === 'cutting' && atHookN > MAX_MONO_N && ruleSet?.wireAllowed !== false ? 'wire' : 'none'
  return BITE_TRACES.map((kind) => ({
    kind,
    bitesLost: BITES_LOST[kind] * seen * (target?.lineShy ? SHY : 1),
    why: WHY[kind],
    barred: kind === 'wire' && ruleSet?.wireAllowed === false,
  })).toSorted((a, b) => Number(b.kind === usual) - Number(a.kind === usual))
}
