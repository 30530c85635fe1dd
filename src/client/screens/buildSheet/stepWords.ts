import type { Step } from '../../../core/build/steps.ts'
import { connectionOf } from '../../../core/gear/connections.ts'
import { pieceName } from '../../../core/trace/names.ts'
import { type Joint, OUTFIT, type Trace } from '../../../core/trace/schema.ts'
import type { Show } from '../../settings/preferences.tsx'

/** One step of the build in a sentence, and why it comes there where that is not plain. */
export function stepWords(step: Step, trace: Trace, show: Show): { text: string; why?: string } {
  const name = (id: string) => {
    const piece = trace.pieces.find((each) => each.id === id)
    return piece ? pieceName(piece) : 'line on the reel'
  }
  switch (step.do) {
    case 'thread':
      return {
        text: `Slide onto the ${step.line === OUTFIT ? 'line on the reel' : name(step.line)}, in this order: ${step.parts.map(name).join(', ')}.`,
        ...(step.before ? { why: `Before the knot at the ${name(step.before)}: after it, nothing more goes on.` } : {}),
      }
    case 'tie':
      return {
        text: `Tie the ${name(step.piece)} to the ${name(step.to)}: ${knot(step.joint, step.turns)}.`,
        ...caution(step.joint),
      }
    case 'fit':
      return { text: `Put the ${name(step.piece)} on the ${name(step.to)}.` }
    case 'fix': {
      const fixed = connectionOf(step.joint.connection).joins !== 'fixture'
      return {
        text: `Fix the ${name(step.piece)} on the ${name(step.line)}, ${show.entered('length', step.atM)} from its upper end${fixed ? `: ${knot(step.joint, step.turns)}` : ''}.`,
      }
    }
    case 'connect':
      return {
        text: `At the water, tie the ${name(step.piece)} to the line on the reel: ${knot(step.joint, step.turns)}.`,
        ...caution(step.joint),
      }
  }
}

const knot = (joint: Joint, turns: number) => `${connectionOf(joint.connection).name}${turns > 0 ? `, ${turns} turns` : ''}`

function caution(joint: Joint): { why?: string } {
  const words = connectionOf(joint.connection).caution
  return words ? { why: `${words[0]!.toUpperCase()}${words.slice(1)}.` } : {}
}
