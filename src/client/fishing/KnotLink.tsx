import { Link } from 'react-router'
import type { LineSpec } from '../../core/catalogue/materials.ts'
import type { Joint } from '../../core/documents/fields.ts'
import { isTied } from '../../core/documents/pieces.ts'
import { knotPath } from '../words/knotAddress.ts'

type Props = { joint: Joint; lines: LineSpec[]; turns: number; name: string }

/** From a joint to how it is tied, in its lines and with its turns; nothing where it is not tied. */
export function KnotLink({ joint, lines, turns, name }: Props) {
  if (!isTied(joint)) return null
  return (
    <Link
      to={knotPath(joint.connection, { lines, turns })}
      className="no-print text-tide underline"
      aria-label={`How to tie the ${name}`}
    >
      how to tie it
    </Link>
  )
}
