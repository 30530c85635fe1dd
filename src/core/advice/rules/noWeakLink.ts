import { parentId } from '../../documents/pieces.ts'
import { addPart } from '../../edit/addPart.ts'
import type { SnagPath } from '../../moments/snag.ts'
import { fishingModeOf } from '../../setup/fishingMode.ts'
import { say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { byEdit, called } from '../remedies.ts'

/** Share of the strongest link under which the line of a sinker is a weak link, whether it is marked as one or not. Ours. */
const WEAK = 0.6

/** A sinker that lies on rock with nothing that breaks before the trace does. */
export const noWeakLink: Rule = {
  id: 'no-weak-link',
  check: (judged) => {
    const { setup, moments } = judged
    const { trace, conditions } = setup
    const { water } = conditions
    const mode = fishingModeOf(trace)
    if (water?.bed !== 'rock' || trace.weakLink !== undefined || (mode !== 'holds' && mode !== 'drags')) return []
    return trace.pieces.flatMap((sinker) => {
      if (sinker.role !== 'sinker') return []
      const path = moments.snag?.paths.find(({ end }) => end === sinker.id)
      if (!path || costsOnlyTheSinker(path, parentId(sinker.attach))) return []
      const { attach } = sinker
      const linked = byEdit('give the sinker a weak link', () => {
        const made = addPart(setup, { at: 'end', of: parentId(attach), takes: sinker.id }, 'sinkerLink')
        return made.ok ? { ...made, trace: { ...made.trace, weakLink: made.chosen } } : made
      })
      return [
        {
          subject: sinker.id,
          severity: 'caution' as const,
          why: say`${called(trace, sinker.id)} lies on rock and has no weak link. Snagged, it costs the whole trace.`,
          figure: path.lost.length,
          remedies: attach.how === 'joined' ? [linked] : [],
        },
      ]
    })
  },
}

/** Whether the sinker's own line most likely breaks first, so that it is a weak link in all but name. */
function costsOnlyTheSinker({ end, lost, links }: SnagPath, ownLine: string): boolean {
  const strengths = links.map(({ strengthN }) => strengthN)
  return lost.every((id) => id === end || id === ownLine) && Math.min(...strengths) < WEAK * Math.max(...strengths)
}
