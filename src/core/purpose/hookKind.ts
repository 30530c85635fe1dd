import type { HookPattern } from '../catalogue/ids.ts'
import type { Purpose } from './purpose.ts'

/** A kind of hook for a purpose: why, what it costs, and whether the rule in force bars it. */
export type HookKindAdvice = { pattern: HookPattern; why: string; cost: string; barred: boolean }

/** From this mass on a fish is very large, kg. Ours. */
const VERY_LARGE_KG = 40

/**
 * Kinds of hook for a purpose, the default first: a circle where fish go back or a rule asks for it, a J for the table and for fish
 * said to shake circles. Both schools stay in the list, with what they cost.
 * Source: the craft’s schools.
 */
export function hookKindsFor(
  { target, ruleSet, fishMassKg }: Pick<Purpose, 'target' | 'ruleSet' | 'fishMassKg'>,
  alive: boolean,
): HookKindAdvice[] {
  const circleOnly = ruleSet?.circleOnly ?? false
  const circle: HookKindAdvice = {
    pattern: 'circle',
    why: circleOnly
      ? 'The rule in force asks for it.'
      : fishMassKg >= VERY_LARGE_KG
        ? 'A very large fish is held by one strong hook in the corner of its jaw.'
        : target?.released
          ? 'It holds in the corner of the jaw: the fish goes back unharmed, and so do undersized ones.'
          : 'It holds in the corner of the jaw, also with an undersized or deep-taken fish.',
    cost: target?.shakesCircles
      ? `${target.name} is said to shake it out; it is not to be struck.`
      : 'It must not be struck, and a bait that fills its gap masks it.',
    barred: false,
  }
  const j: HookKindAdvice = {
    pattern: alive ? 'liveBait' : 'j',
    why: target?.shakesCircles
      ? 'A fish said to shake circles is held better by a struck point.'
      : 'Struck, it holds at once, and a bait masks it less. For the table.',
    cost: 'It is taken deeper: an undersized fish, or one that goes back, is hurt.',
    barred: circleOnly,
  }
  const circleFirst = circleOnly || (target?.released ?? true) || fishMassKg >= VERY_LARGE_KG
  return circleFirst ? [circle, j] : [j, circle]
}
