import { labelAtLeastN } from '../../catalogue/labels.ts'
import { labelledN, parentId } from '../../documents/pieces.ts'
import type { HookPiece } from '../../documents/trace.ts'
import { addPart } from '../../edit/addPart.ts'
import { biteOff, NEAR_THE_TEETH } from '../../moments/biteOff.ts'
import { say, strength } from '../../units/phrase.ts'
import type { Judged, Remedy, Rule } from '../finding.ts'
import { byEdit, called, restrung, withHooks } from '../remedies.ts'

/** The line at the hook is lighter than the teeth of the fish ask for, and no wire, long shank or linked hook replaces it. */
export const lighterThanTeeth: Rule = {
  id: 'lighter-than-teeth',
  explains: ['take', 'run'],
  check: (judged) => {
    const { trace, conditions } = judged.setup
    const { target } = conditions
    return trace.pieces.flatMap((hook) => {
      const bite = hook.role === 'hook' ? biteOff(judged.setup, hook) : undefined
      if (hook.role !== 'hook' || !target || !bite) return []
      const { line, neededN, share, isRisk } = bite
      return [
        {
          subject: hook.id,
          severity: isRisk ? ('caution' as const) : ('note' as const),
          why: say`The ${target.teeth} teeth of ${target.name} need ${strength(neededN)} mono at the hook; ${called(trace, line.id)} is ${strength(labelledN(line))}.`,
          figure: 1 / share,
          remedies: [
            restrung(judged, line, labelAtLeastN(NEAR_THE_TEETH * neededN), 'line strong enough for the teeth'),
            ...wired(judged, hook),
            longShank(judged, hook),
          ],
        },
      ]
    })
  },
}

/** A wire before the hook, unless the rule in force bars it. */
function wired({ setup, ruleSet }: Judged, hook: HookPiece): Remedy[] {
  if (ruleSet?.wireAllowed === false) return []
  const place = { at: 'end', of: parentId(hook.attach), takes: hook.id } as const
  return [byEdit('a bite trace of wire before the hook', () => addPart(setup, place, 'biteTrace'))]
}

const longShank = ({ setup: { trace } }: Judged, hook: HookPiece): Remedy => ({
  label: 'a hook with a long shank',
  make: () => ({ trace: withHooks(trace, [hook.id], { size: hook.size, pattern: 'longShank' }) }),
})
