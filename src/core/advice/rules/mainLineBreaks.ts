import { say } from '../../units/phrase.ts'
import { type Rule, SEVERITY_OF } from '../finding.ts'
import { isBacking } from './backingDecides.ts'

/** A pull for a break parts the line on the reel: more than the trace is lost. */
export const mainLineBreaks: Rule = {
  id: 'main-line-breaks',
  explains: ['snag'],
  check: ({ moments: { snag }, setup: { trace } }) => {
    if (snag?.deciding.wanted !== 'fuse' || snag.verdict === 'holds' || trace.fuse) return []
    const { chance, goesFirst } = snag.deciding
    if (isBacking(goesFirst.ref)) return []
    return [
      {
        severity: SEVERITY_OF[snag.verdict],
        why: say`On a snag the line on the reel breaks ${Math.round((1 - chance) * 100)} times in 100. You lose line as well as the trace.`,
        figure: 1 - chance,
        remedies: [],
      },
    ]
  },
}
