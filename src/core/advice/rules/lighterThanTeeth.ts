import { labelAtLeastN } from '../../catalogue/labels.ts'
import { labelledN, lineById, parentId, pieceById } from '../../documents/pieces.ts'
import type { HookPiece, LinePiece } from '../../documents/trace.ts'
import { addPart } from '../../edit/addPart.ts'
import { teethN } from '../../purpose/leader.ts'
import { say, strength } from '../../units/phrase.ts'
import type { Judged, Remedy, Rule } from '../finding.ts'
import { byEdit, called, restrung, withHooks } from '../remedies.ts'

/** Labels that are this near are alike: less than a step. */
const NEAR = 0.85
/** Share of what rasping teeth ask for, under which it is no matter of taste. Ours. */
const FAR_UNDER = 0.6

/** The line at the hook is lighter than the teeth of the fish ask for, and no wire, long shank or linked hook stands for it. */
export const lighterThanTeeth: Rule = {
  id: 'lighter-than-teeth',
  check: (judged) => {
    const { trace, conditions } = judged.setup
    const { target } = conditions
    if (!target || target.teeth === 'none') return []
    const neededN = teethN(target)
    return trace.pieces.flatMap((hook) => {
      if (hook.role !== 'hook') return []
      const line = lineById(trace, parentId(hook.attach))
      if (!line || !isBitten(line) || hook.pattern === 'longShank' || isLinked(judged, hook)) return []
      const share = labelledN(line) / neededN
      if (share >= NEAR) return []
      return [
        {
          subject: hook.id,
          severity: target.teeth === 'cutting' || share < FAR_UNDER ? ('caution' as const) : ('note' as const),
          why: say`The ${target.teeth} teeth of ${target.name} need ${strength(neededN)} mono at the hook; ${called(trace, line.id)} is ${strength(labelledN(line))}.`,
          figure: 1 / share,
          remedies: [
            restrung(judged, line, labelAtLeastN(NEAR * neededN), 'line strong enough for the teeth'),
            ...wired(judged, hook),
            longShank(judged, hook),
          ],
        },
      ]
    })
  },
}

const isBitten = ({ material }: LinePiece) => material !== 'wire' && material !== 'cable'
/** Another hook hangs from its eye or bend, or it from another: the upper one takes the teeth. */
const isLinked = ({ setup: { trace } }: Judged, hook: HookPiece) =>
  trace.pieces.some((other) => other.role === 'hook' && parentId(other.attach) === hook.id) ||
  pieceById(trace, parentId(hook.attach))?.role === 'hook'

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
