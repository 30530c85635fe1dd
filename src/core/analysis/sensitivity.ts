import { CoreError } from '../errors.ts'
import { judge } from '../moments/judge.ts'
import type { Verdict } from '../moments/moment.ts'
import type { AnyResult, MomentName } from '../moments/moments.ts'
import type { Setup } from '../setup/setup.ts'
import { type Lever, leversOf } from './levers.ts'

/** What a tenth less and a tenth more of one input make of a moment: its margin, its verdict. */
export type Sway = Pick<Lever, 'id' | 'what' | 'quantity' | 'value'> & {
  low: { margin: number; verdict: Verdict }
  high: { margin: number; verdict: Verdict }
  /** Largest change of the margin either way. */
  swing: number
}
export type Sensitivity = { margin: number; verdict: Verdict; inputEffects: Sway[] }

const TENTH = 0.1
/** A change of margin under this is none. */
const NOTHING = 1e-6

/**
 * How each input moves a moment when it is 10 % less or more, the strongest first; inputs that do not move it are left out.
 * Undefined where the moment does not apply.
 */
export function sensitivityOf(setup: Setup, name: MomentName): Sensitivity | undefined {
  const now = resultOf(setup, name)
  if (!now) return undefined
  const inputEffects = leversOf(setup, [name]).flatMap(({ id, what, quantity, value, scaled }): Sway[] => {
    const at = (factor: number) => {
      const then = resultOf(scaled(factor), name)
      return then && { margin: then.margin, verdict: then.verdict }
    }
    const [low, high] = [at(1 - TENTH), at(1 + TENTH)]
    if (!low || !high) return []
    const swing = Math.max(Math.abs(low.margin - now.margin), Math.abs(high.margin - now.margin))
    return swing > NOTHING ? [{ id, what, quantity, value, low, high, swing }] : []
  })
  return { margin: now.margin, verdict: now.verdict, inputEffects: inputEffects.toSorted((a, b) => b.swing - a.swing) }
}

/** Undefined where the input asked about is outside what can be calculated (more line out than was wound). */
function resultOf(setup: Setup, name: MomentName): AnyResult | undefined {
  try {
    return judge(setup, [name]).moments[name]
  } catch (error) {
    if (error instanceof CoreError) return undefined
    throw error
  }
}
