import { isLine } from '../../../core/documents/pieces.ts'
import { pieceName } from '../../../core/setup/names.ts'
import type { Link } from '../../../core/setup/pathLinks.ts'
import type { Rig } from '../../../core/setup/setup.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Sheet } from '../../ui/controls.tsx'
import { lineSpec, pieceSpec, woundName } from '../../words/names.ts'

/** The parts in order, with the strength of those on the deciding path: the bench on a phone. */
export function PartList({ rig, links }: { rig: Rig; links: readonly Link[] }) {
  const { trace, outfit, catalogue } = rig
  const show = useShow()
  const weakest = links.reduce<Link | undefined>(
    (lowest, link) => (!lowest || link.strengthN < lowest.strengthN ? link : lowest),
    undefined,
  )
  const strength = (id: string) => {
    const own = links.filter(({ ref }) => ('role' in ref ? ref.role : 'id' in ref && ref.id) === id)
    const [lowest] = own.toSorted((a, b) => a.strengthN - b.strengthN)
    if (!lowest) return null
    return (
      <span className={lowest.id === weakest?.id ? 'font-bold text-fails' : ''}>
        {show.computed('strength', lowest.strengthN)}
      </span>
    )
  }
  return (
    <Sheet title="Parts from the reel">
      <ol>
        {outfit.wound.map((line) => (
          <li key={line.role} className="flex justify-between gap-3 border-t border-rule py-1">
            <span>
              {woundName(line)} <span className="text-quiet">{lineSpec(catalogue, line, show)}</span>
            </span>
            {strength(line.role)}
          </li>
        ))}
        {trace.pieces.map((piece) => (
          <li key={piece.id} className="flex justify-between gap-3 border-t border-rule py-1">
            <span>
              {/* “swivel 7” says what it is by itself. */}
              {!pieceSpec(catalogue, piece, show).startsWith(pieceName(piece)) && `${pieceName(piece)} `}
              <span className="text-quiet">
                {pieceSpec(catalogue, piece, show)}
                {isLine(piece) && `, ${show.entered('length', piece.lengthM)}`}
              </span>
            </span>
            {strength(piece.id)}
          </li>
        ))}
      </ol>
    </Sheet>
  )
}
