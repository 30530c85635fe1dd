import type { ConnectionId } from '../../catalogue/ids.ts'
import { isTied, jointOf, lineById } from '../../documents/pieces.ts'
import type { LinePiece, Piece } from '../../documents/trace.ts'
import { OUTFIT } from '../../documents/vocabulary.ts'
import { joined } from '../../edit/attach.ts'
import { freeId, reattached } from '../../edit/changes.ts'
import { checked } from '../../edit/editResult.ts'
import { defaultConnection, misfitOf } from '../../joints/connectionRules.ts'
import { endById, endOf } from '../../joints/ends.ts'
import { misfitsOnReel } from '../../joints/woundJoints.ts'
import { say } from '../../units/phrase.ts'
import type { Judged, Remedy, Rule } from '../finding.ts'
import { byEdit, called, retied, WOUND_NAMES } from '../remedies.ts'

/** A connection where it cannot be tied: a snell on a swivel, a hitch in one strand, a weave of like lines. */
export const jointMisfits: Rule = {
  id: 'joint-misfits',
  check: (judged) => [
    ...judged.setup.trace.pieces.flatMap((piece) => {
      const misfit = misfitOf(judged.setup, piece)
      const joint = jointOf(piece)
      if (!misfit || !joint) return []
      const { name } = judged.setup.catalogue.connections[joint.connection]
      return [
        {
          subject: piece.id,
          severity: 'fault' as const,
          why: say`At ${called(judged.setup.trace, piece.id)} is “${name}”, which ${misfit}.`,
          figure: 1,
          remedies: remediesOf(judged, piece),
        },
      ]
    }),
    ...woundMisfits(judged),
  ],
}

/** The usual connection of the two ends; where a hitch wants a loop that is not there, one in the line’s end. */
function remediesOf(judged: Judged, piece: Piece): Remedy[] {
  const { setup } = judged
  const { attach } = piece
  if (attach.how !== 'joined') return []
  const usual = defaultConnection(endById(setup, attach.to), endOf(piece))
  const line = lineById(setup.trace, piece.id)
  const hitch = setup.catalogue.connections[attach.joint.connection].joins === 'loop-loop'
  return [
    ...(hitch && line && line.role !== 'double' && attach.to !== OUTFIT ? [loopFirst(judged, line)] : []),
    ...(usual
      ? [isTied({ connection: usual }) ? retied(judged, piece.id, usual) : refitted(judged, piece, attach.to, usual)]
      : []),
  ]
}

const refitted = ({ setup }: Judged, piece: Piece, to: string, usual: ConnectionId): Remedy =>
  byEdit(`tie ${called(setup.trace, piece.id)} straight on`, () =>
    checked(setup, reattached(setup.trace, piece.id, joined(to, usual)), piece.id),
  )

/** A loop in the near end of a line, hitched where the line was. */
function loopFirst({ setup }: Judged, line: LinePiece): Remedy {
  const { trace } = setup
  const loop: Piece = { id: freeId(trace, `${line.id}-loop`), role: 'hardware', type: 'loop', attach: line.attach }
  const connection = defaultConnection(endOf(line), endOf(loop)) ?? 'surgeonsLoop'
  const looped = { ...trace, pieces: trace.pieces.flatMap((piece) => (piece.id === line.id ? [loop, piece] : [piece])) }
  return byEdit(`tie a loop in ${called(trace, line.id)} for it`, () =>
    checked(setup, reattached(looped, line.id, joined(loop.id, connection)), line.id),
  )
}

/** The same between the outfit’s own lines, doubled or not. */
const woundMisfits = ({ setup: { outfit, catalogue } }: Judged) =>
  misfitsOnReel(catalogue, outfit).map(({ under, over, connection, misfit }) => ({
    subject: over,
    severity: 'fault' as const,
    why: say`Between ${WOUND_NAMES[under]} and ${WOUND_NAMES[over]} is “${catalogue.connections[connection].name}”, which ${misfit}. Change it in the outfit.`,
    figure: 1,
    remedies: [],
  }))
