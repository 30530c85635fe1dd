import type { Figure } from '../advice/phrase.ts'
import { CoreError } from '../errors.ts'
import { type Evaluation, evaluate } from './evaluate.ts'
import { type Fished, leversOf } from './levers.ts'
import type { MomentName, Verdict } from './moment.ts'

/** What a tenth less and a tenth more of one input make of a moment: its margin, its verdict. */
export type Sway = {
  id: string
  label: string
  value: Figure | number
  low: { margin: number; verdict: Verdict }
  high: { margin: number; verdict: Verdict }
  /** Largest change of the margin either way. */
  swing: number
}
export type Sensitivity = { margin: number; verdict: Verdict; sways: Sway[] }

const TENTH = 0.1
/** A change of margin under this is none. */
const NOTHING = 1e-6

/**
 * How each input moves a moment when it is 10 % less or more, the strongest first; inputs that do not move it are left out.
 * Undefined where the moment does not apply.
 */
export function sensitivityOf(fished: Fished, moment: MomentName): Sensitivity | undefined {
  const now = judged(fished)?.[moment]
  if (!now) return undefined
  const sways = leversOf(fished).flatMap(({ id, label, value, scaled }): Sway[] => {
    const [low, high] = [1 - TENTH, 1 + TENTH].map((factor) => {
      const then = judged(scaled(factor))?.[moment]
      return then ? { margin: then.margin, verdict: then.verdict } : undefined
    })
    if (!low || !high) return []
    const swing = Math.max(Math.abs(low.margin - now.margin), Math.abs(high.margin - now.margin))
    return swing > NOTHING ? [{ id, label, value, low, high, swing }] : []
  })
  return { margin: now.margin, verdict: now.verdict, sways: sways.toSorted((a, b) => b.swing - a.swing) }
}

/** Undefined where the input asked about is outside what can be reckoned (more line out than was wound). */
function judged({ trace, outfit, conditions }: Fished): Evaluation | undefined {
  try {
    return evaluate(trace, outfit, conditions)
  } catch (error) {
    if (error instanceof CoreError) return undefined
    throw error
  }
}
