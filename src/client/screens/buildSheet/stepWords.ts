import type { Step } from '../../../core/build/steps.ts'
import type { Catalogue } from '../../../core/catalogue/catalogue.ts'
import type { Joint } from '../../../core/documents/fields.ts'
import { hungFrom, isTied, jointOf, pieceById } from '../../../core/documents/pieces.ts'
import { OUTFIT } from '../../../core/documents/vocabulary.ts'
import { pieceName } from '../../../core/setup/names.ts'
import type { Rig } from '../../../core/setup/setup.ts'
import { capital } from '../../../core/units/capital.ts'
import type { Show } from '../../settings/show.ts'

/** One step of the build in a sentence, and why it comes there where that is not plain. */
export function stepWords(
  step: Step,
  { trace, catalogue }: Pick<Rig, 'trace' | 'catalogue'>,
  show: Show,
): { text: string; why?: string } {
  const name = (id: string) => {
    const piece = pieceById(trace, id)
    return piece ? pieceName(piece) : 'main line'
  }
  switch (step.do) {
    case 'thread':
      return {
        text: `Slide onto the ${step.line === OUTFIT ? 'main line' : name(step.line)}, in this order: ${step.parts.map(name).join(', ')}.`,
        ...(step.before ? { why: `Do this before the knot at the ${name(step.before)}; nothing goes on after it.` } : {}),
      }
    case 'wrap':
      return {
        text: `Wrap the ${step.line === OUTFIT ? 'main line' : name(step.line)} ${step.times === 1 ? 'once' : `${step.times} times`} around the shank of the ${name(step.piece)}.`,
      }
    case 'tie':
      return {
        text: `${step.inOwnEnd ? `Tie the ${name(step.to)} in the end of the ${name(step.piece)}` : `Tie the ${name(step.piece)} to the ${name(step.to)}`}: ${knot(catalogue, step.joint, step.turns)}.`,
        ...(opened(trace, step.piece) ?? caution(catalogue, step.joint)),
      }
    case 'fit':
      return { text: `Put the ${name(step.piece)} on the ${name(step.to)}.` }
    case 'fix': {
      const fixed = isTied(step.joint)
      return {
        text: `Fix the ${name(step.piece)} on the ${name(step.line)}, ${show.entered('length', step.atM)} from its ${step.line === OUTFIT ? 'free' : 'upper'} end${fixed ? `: ${knot(catalogue, step.joint, step.turns)}` : ''}.`,
      }
    }
    case 'connect':
      return {
        text: `At the water, tie the ${name(step.piece)} to the main line: ${knot(catalogue, step.joint, step.turns)}.`,
        ...caution(catalogue, step.joint),
      }
  }
}

/** A loop that is cut open to tags is said to be. */
function opened(trace: Rig['trace'], id: string): { why: string } | undefined {
  const legs = hungFrom(trace, id).filter(
    (piece) => jointOf(piece)?.connection === 'runsOn' && pieceById(trace, id)?.role === 'hardware',
  )
  if (legs.length === 0) return undefined
  return { why: `Cut it open: its legs are the ${legs.map(pieceName).join(' and the ')}.` }
}

const knot = ({ connections }: Catalogue, joint: Joint, turns: number) =>
  `${connections[joint.connection].name}${turns > 0 ? `, ${turns} turns` : ''}`

function caution({ connections }: Catalogue, joint: Joint): { why?: string } {
  const words = connections[joint.connection].caution
  return words ? { why: `${capital(words)}.` } : {}
}
