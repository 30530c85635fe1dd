import { isCastMethod } from '../../catalogue/methods.ts'
import { parentId } from '../../documents/pieces.ts'
import { addPart } from '../../edit/addPart.ts'
import { removePart } from '../../edit/removePart.ts'
import { fishingModeOf } from '../../setup/fishingMode.ts'
import { say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { byEdit, called } from '../remedies.ts'

/** Share of the main line under which the line of a sinker is a weak link, whether it is marked as one or not. Ours. */
const WEAK = 0.6

/** A sinker that lies on rock with nothing that breaks before the trace does. */
export const noWeakLink: Rule = {
  id: 'no-weak-link',
  check: (judged) => {
    const { setup, moments } = judged
    const { trace, conditions, outfit, catalogue } = setup
    const { water } = conditions
    const mode = fishingModeOf(trace)
    if (water?.bed !== 'rock' || trace.weakLink !== undefined || (mode !== 'holds' && mode !== 'drags')) return []
    return trace.pieces.flatMap((sinker) => {
      if (sinker.role !== 'sinker') return []
      const path = moments.snag?.paths.find(({ end }) => end === sinker.id)
      const weakestN = path && Math.min(...path.links.map(({ strengthN }) => strengthN))
      const ownLine =
        path?.lost.length === 1 || (path && path.lost.every((id) => id === sinker.id || id === parentId(sinker.attach)))
      if (
        !path ||
        weakestN === undefined ||
        (ownLine && weakestN < WEAK * Math.max(...path.links.map(({ strengthN }) => strengthN)))
      )
        return []
      const { attach } = sinker
      const linked = byEdit('give the sinker a weak link', () => {
        const bare = removePart({ trace, outfit, catalogue }, sinker.id, { below: true })
        return bare.ok && attach.how === 'joined'
          ? addPart({ trace: bare.trace, outfit, catalogue }, { at: 'end', of: attach.to }, 'weakSinker')
          : bare
      })
      return [
        {
          subject: sinker.id,
          severity: 'caution' as const,
          why: say`${called(trace, sinker.id)} lies on rock and has no weak link. ${isCastMethod(water.method) ? 'Snagged' : 'Snagged on the bottom'}, it costs the whole trace.`,
          figure: path.lost.length,
          remedies: attach.how === 'joined' ? [linked] : [],
        },
      ]
    })
  },
}
