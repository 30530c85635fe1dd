import type { HookPattern } from '../catalogue/ids.ts'
import type { Target } from '../documents/fish.ts'
import type { RuleSet } from '../documents/ruleSet.ts'
import type { Purpose } from './purpose.ts'

/** A kind of hook for a purpose: why, what it costs, and whether the rule in force bars it. */
export type HookKindAdvice = { pattern: HookPattern; why: string; cost: string; barred: boolean }

/** From this mass on a fish is very large, kg. Ours. */
const VERY_LARGE_KG = 40

/** The least length of a fish that the rule in force lets keep, m; undefined where it does not say. */
export const leastLengthM = ({ name }: Target, ruleSet: RuleSet | undefined): number | undefined =>
  ruleSet?.leastLengths?.find(({ fish }) => fish.trim().toLowerCase() === name.trim().toLowerCase())?.lengthM

/** Whether fish go back: as a rule, because a usual one is under the least size in force, or because nobody said. */
function goesBack({ target, ruleSet }: Pick<Purpose, 'target' | 'ruleSet'>): boolean {
  if (!target) return true
  return target.released || target.typicalLengthM < (leastLengthM(target, ruleSet) ?? 0)
}

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
      ? 'Your rule set requires it.'
      : fishMassKg >= VERY_LARGE_KG
        ? 'One strong hook in the corner of the jaw holds a very large fish.'
        : target && goesBack({ target, ruleSet })
          ? 'It holds in the corner of the jaw, so released fish are unharmed.'
          : 'It holds in the corner of the jaw, even if the fish swallows deep.',
    cost: target?.shakesCircles ? `${target.name} may throw it. Do not strike.` : 'A bait that fills its gap hides the point.',
    barred: false,
  }
  const j: HookKindAdvice = {
    pattern: alive ? 'liveBait' : 'j',
    why: target?.shakesCircles
      ? 'A fish that throws circle hooks is held better by a J hook.'
      : 'It holds as soon as you strike. For fish you keep.',
    cost: 'Fish swallow it deeper, which hurts fish you release.',
    barred: circleOnly,
  }
  const circleFirst = circleOnly || goesBack({ target, ruleSet }) || fishMassKg >= VERY_LARGE_KG
  return circleFirst ? [circle, j] : [j, circle]
}
