import { memo, type ReactNode } from 'react'
import { type LinkRef, pieceIdOf, sameLink } from '../../../core/documents/linkRef.ts'
import type { Outfit } from '../../../core/documents/outfit.ts'
import { isLine, isTied, jointOf, pieceById } from '../../../core/documents/pieces.ts'
import type { RuleSet } from '../../../core/documents/ruleSet.ts'
import type { Piece, Trace } from '../../../core/documents/trace.ts'
import { OUTFIT } from '../../../core/documents/vocabulary.ts'
import { ridesOn } from '../../../core/edit/along.ts'
import { withFuse } from '../../../core/edit/changes.ts'
import { hold, isHeld } from '../../../core/edit/moveTo.ts'
import { slideRange } from '../../../core/edit/slidePart.ts'
import { ownFiguresText } from '../../../core/joints/ownFigures.ts'
import { mainLine } from '../../../core/outfits/outfitLines.ts'
import { pieceName } from '../../../core/setup/names.ts'
import type { Link } from '../../../core/setup/pathLinks.ts'
import type { PreparedSetup } from '../../../core/setup/prepareSetup.ts'
import type { Rig } from '../../../core/setup/setup.ts'
import { percent } from '../../../core/units/percent.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { useShow } from '../../settings/preferences.tsx'
import { CheckField } from '../../ui/CheckField.tsx'
import { Sheet } from '../../ui/controls.tsx'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { lineSpec, linkName, woundName } from '../../words/names.ts'
import { FromBox } from './FromBox.tsx'
import { JointSettings } from './JointSettings.tsx'
import { PieceSettings } from './PieceSettings.tsx'
import type { Bench } from './useBench.ts'
import type { Edits } from './useEdits.ts'
import { WhyThisLeader } from './WhyThisLeader.tsx'

/** A link of the path that is shown, with the chance that it goes first. */
export type ShownLink = Link & { first: number }

type Props = {
  bench: Bench
  rig: Rig
  selected: LinkRef
  links: readonly ShownLink[]
  prepared: PreparedSetup | undefined
  ruleSet: RuleSet | undefined
  ownedSinkersKg: readonly number[]
  edits: Edits
}

/** The settings of the chosen part, and of the joint it hangs by. */
export const PartPanel = memo(function PartPanel(props: Props) {
  const { bench, rig, selected, links, prepared, ruleSet, ownedSinkersKg, edits } = props
  const { trace, outfit, catalogue } = rig
  const id = pieceIdOf(selected)
  const piece = id === undefined ? undefined : pieceById(trace, id)
  const name = linkName(rig, selected)
  const link = links.find(({ ref }) => sameLink(ref, selected))
  const strength = link && <LinkStrength rig={rig} link={link} links={links} name={name} />
  if (!piece) return <OutfitPart outfit={outfit} title={selected.at === 'reel' ? 'outfit' : name} strength={strength} />
  const joint = jointOf(piece)
  const fuse = selected.at === 'piece' || selected.at === 'joint' ? selected : undefined
  return (
    <Sheet
      title={pieceName(piece)}
      aside={
        <span className="text-sm text-quiet">
          {isLine(piece) ? piece.role : piece.role === 'hardware' ? catalogue.hardware[piece.type].name : piece.role}
        </span>
      }
    >
      {/* A key of its own for each piece: typed text never moves to another part's field. */}
      <div key={piece.id} role="group" aria-label="Settings of the part" className="grid gap-2" onBlur={bench.settle}>
        {strength}
        {link && fuse && (
          <CheckField
            label="fuse: breaks first under a fish"
            checked={sameLink(trace.fuse, fuse)}
            onChange={(checked) => bench.editTrace((old) => withFuse(old, checked ? fuse : undefined))}
          />
        )}
        <PieceSettings bench={bench} edits={edits} rig={rig} piece={piece} ownedSinkersKg={ownedSinkersKg} />
        <PlaceOnLine piece={piece} trace={trace} edits={edits} />
        <HeldOrFree piece={piece} rig={rig} edits={edits} />
        <FromBox rig={rig} piece={piece} edits={edits} />
        {isLine(piece) && piece.role !== 'sinkerLink' && prepared && <WhyThisLeader setup={prepared} ruleSet={ruleSet} />}
        {isTied(joint) && <JointSettings bench={bench} piece={piece} joint={joint} rig={rig} />}
      </div>
    </Sheet>
  )
})

/** Where along its line a part sits: from the reel's end, or up from the free end of the outfit's line. */
function PlaceOnLine({ piece, trace, edits }: { piece: Piece; trace: Trace; edits: Edits }) {
  const range = slideRange(trace, piece.id)
  const show = useShow()
  if (!range) return null
  const onOutfit = ridesOn(piece) === OUTFIT
  const [downM, leastM, mostM] = onOutfit ? [-range.downM, -range.highM, -range.lowM] : [range.downM, range.lowM, range.highM]
  return (
    <QuantityField
      label={onOutfit ? 'above the end' : isLine(piece) ? 'sinker’s side' : 'down the line'}
      quantity="length"
      valueSi={downM}
      check={(si) =>
        si >= leastM - 1e-9 && si <= mostM + 1e-9
          ? undefined
          : `From ${show.tape(leastM)} to ${show.tape(mostM)}: it cannot pass its neighbours.`
      }
      onChange={(si) => edits.slideTo(piece.id, onOutfit ? -si : si)}
      step={(si, direction) => Math.min(mostM, Math.max(leastM, si + direction * 0.05))}
    />
  )
}

/** Whether a part is pinched fast on its line, or slides. */
function HeldOrFree({ piece, rig, edits }: { piece: Piece; rig: Rig; edits: Edits }) {
  const held = isHeld(piece)
  if (held === undefined) return null
  return (
    <CheckField
      label="fixed in place, does not slide"
      checked={held}
      onChange={(checked) => edits.take(hold(rig, piece.id, checked))}
    />
  )
}

type StrengthProps = { rig: Rig; link: ShownLink; links: Props['links']; name: string }

function LinkStrength({ rig, link, links, name }: StrengthProps) {
  const show = useShow()
  return (
    <p className="rounded-md bg-well px-2 py-1" aria-live="polite">
      {name}: <strong>{show.computed('strength', link.strengthN)}</strong>{' '}
      <span className="text-quiet">± {show.computed('strength', link.variation * link.strengthN)}, </span>
      breaks first {percent(link.first)}
      <LinkReason rig={rig} link={link} links={links} />
    </p>
  )
}

/** What a link's strength is made of, in one line. */
function LinkReason({ rig, link, links }: Omit<StrengthProps, 'name'>) {
  const show = useShow()
  const at = links.findIndex(({ id }) => id === link.id)
  const side = link.governedBy === 'above' ? -1 : 1
  const line = link.governedBy === 'self' ? undefined : links[at + side]
  const origin = ownFiguresText(rig, link.ref) || (link.origin === 'own' ? 'my test' : 'nominal')
  if (line?.kind !== 'line') return <span className="block text-sm text-quiet">{origin}</span>
  return (
    <span className="block text-sm text-quiet">
      {percent(link.strengthN / line.strengthN)} of the line {link.governedBy}, {show.computed('strength', line.strengthN)};{' '}
      {origin}
    </span>
  )
}

function OutfitPart({ outfit, title, strength }: { outfit: Outfit; title: string; strength: ReactNode }) {
  const show = useShow()
  const catalogue = useCatalogue()
  const rows: [string, string][] = [
    [
      'rod',
      `${show.entered('length', outfit.rod.lengthM)}, rated ${show.entered('strength', outfit.rod.ratingLowN)} to ${show.entered('strength', outfit.rod.ratingHighN)}`,
    ],
    ...outfit.wound.map((line): [string, string] => [
      woundName(line),
      `${lineSpec(catalogue, line, show)}, ${line.lengthM === undefined ? 'fills the spool' : show.entered('length', line.lengthM)}`,
    ]),
    ['line class', show.entered('strength', mainLine(outfit).strengthN)],
    ['highest drag', show.entered('strength', outfit.reel.highestDragN)],
  ]
  return (
    <Sheet
      title={title}
      aside={
        <span className="text-sm text-quiet" translate="no">
          {outfit.name}
        </span>
      }
    >
      {strength}
      <dl className="mt-2 grid grid-cols-[6rem_1fr] gap-x-3 gap-y-1">
        {rows.map(([name, value]) => (
          <div key={name} className="contents">
            <dt className="text-quiet">{name}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
      <p className="mt-2 text-sm text-quiet">Part of the outfit. Choose another outfit at the top of the page.</p>
    </Sheet>
  )
}
