import { isLine, parentId } from '../../documents/pieces.ts'
import { addPart } from '../../edit/addPart.ts'
import { freeLine } from '../../outfits/outfitLines.ts'
import { bodyOn } from '../../setup/baiting.ts'
import { isBody } from '../../setup/bodies.ts'
import { say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { byEdit, called } from '../remedies.ts'

/** What turns, so that a bait that swims round does not twist the line. */
const TURNS: readonly string[] = ['swivel', 'rollingSwivel', 'ballBearingSwivel', 'snapSwivel', 'threeWay', 'boom']

/** A live bait swims round, and mono without a swivel takes the twist. */
export const liveBaitTwists: Rule = {
  id: 'live-bait-twists',
  check: ({ setup }) => {
    const { trace, outfit, catalogue, tracePath } = setup
    if (freeLine(outfit).material !== 'mono') return []
    return trace.pieces.filter(isBody).flatMap((bait) => {
      const hook = parentId(bait.attach)
      if (!bodyOn(trace, catalogue, bait).alive) return []
      const path = tracePath(hook)
      const turns = path.some(({ kind, ...element }) => kind === 'part' && 'piece' in element && isTurning(element.piece))
      if (turns) return []
      const [first] = path.flatMap((element) => (element.kind === 'line' && isLine(element.line) ? [element.line] : []))
      return [
        {
          subject: bait.id,
          severity: 'caution' as const,
          why: say`${called(trace, bait.id)} swims round, and no swivel lies between it and the mono on the reel. The line twists.`,
          figure: 1,
          remedies: first
            ? [
                byEdit('add a swivel above the leader', () =>
                  addPart(setup, { at: 'end', of: parentId(first.attach), takes: first.id }, 'swivel'),
                ),
              ]
            : [],
        },
      ]
    })
  },
}

const isTurning = (piece: { role: string; type?: string }): boolean =>
  piece.role === 'hardware' && piece.type !== undefined && TURNS.includes(piece.type)
