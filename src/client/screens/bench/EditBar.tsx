import { ArrowLeft, ArrowRight, type LucideIcon, MapPin, Plus, Replace, Scissors, Trash2 } from 'lucide-react'
import { memo, useState } from 'react'
import { type LinkRef, pieceIdOf } from '../../../core/documents/linkRef.ts'
import { isLine, parentId, pieceById } from '../../../core/documents/pieces.ts'
import type { Piece } from '../../../core/documents/trace.ts'
import { OUTFIT } from '../../../core/documents/vocabulary.ts'
import { addPart } from '../../../core/edit/addPart.ts'
import { drawInWords } from '../../../core/edit/inWords.ts'
import { placesToMove } from '../../../core/edit/moveTo.ts'
import { newParts, SINGLE_PARTS } from '../../../core/edit/newParts.ts'
import { placesAt } from '../../../core/edit/places.ts'
import { goesWith, removePart } from '../../../core/edit/removePart.ts'
import { replacePart } from '../../../core/edit/replacePart.ts'
import type { Rig } from '../../../core/setup/setup.ts'
import { Button } from '../../ui/controls.tsx'
import { Panel } from '../../ui/Panel.tsx'
import { useStableCallback } from '../../ui/useStableCallback.ts'
import { placeWords, theName } from '../../words/placeWords.ts'
import { type PartChoice, PartChooser } from './PartChooser.tsx'
import type { Edits } from './useEdits.ts'

type Props = { rig: Rig; selected: LinkRef; edits: Edits }

/** What can be done to the chosen part: put one in, change it for another, split, change places, take out. */
export function EditBar({ rig, selected, edits }: Props) {
  const id = pieceIdOf(selected)
  const piece = id === undefined ? undefined : pieceById(rig.trace, id)
  const { asked } = edits
  const press = useStableCallback((button: BarButton) => button.press(edits))
  return (
    <div role="toolbar" aria-label="Change the trace" className="flex flex-wrap gap-1">
      <BarButtons chosen={isLine(piece) ? 'line' : piece ? 'part' : 'other'} onPress={press} />
      {asked === 'add' && <AddPanel rig={rig} selected={selected} edits={edits} />}
      {asked === 'replace' && piece && <ReplacePanel rig={rig} piece={piece} edits={edits} />}
      {asked === 'move' && piece && <MovePanel rig={rig} piece={piece} edits={edits} />}
      {asked === 'remove' && piece && <RemovePanel rig={rig} piece={piece} edits={edits} />}
    </div>
  )
}

/** What is chosen: a line of the trace, another part of it, or what belongs to the outfit. */
type Chosen = 'line' | 'part' | 'other'
type BarButton = {
  text: string
  icon: LucideIcon
  press: (edits: Edits) => void
  of: readonly Chosen[]
  keys?: string
  /** Its text stays beside its picture where room is short. */
  worded?: true
}

const ANY_PART = ['line', 'part'] as const
const BUTTONS: readonly BarButton[] = [
  { text: 'Add part', icon: Plus, press: ({ ask }) => ask('add'), of: [...ANY_PART, 'other'], keys: 'Insert', worded: true },
  { text: 'Replace', icon: Replace, press: ({ ask }) => ask('replace'), of: ANY_PART },
  { text: 'Split', icon: Scissors, press: ({ split }) => split(), of: ['line'] },
  { text: 'Move to …', icon: MapPin, press: ({ ask }) => ask('move'), of: ANY_PART },
  { text: 'To the reel', icon: ArrowLeft, press: ({ move }) => move('reel'), of: ANY_PART, keys: 'Shift+ArrowLeft' },
  { text: 'To the hook', icon: ArrowRight, press: ({ move }) => move('hook'), of: ANY_PART, keys: 'Shift+ArrowRight' },
  { text: 'Remove', icon: Trash2, press: ({ remove }) => remove(), of: ANY_PART, keys: 'Delete' },
]

/** They rest while a value of the chosen part is changed. */
const BarButtons = memo(function BarButtons({ chosen, onPress }: { chosen: Chosen; onPress: (button: BarButton) => void }) {
  return BUTTONS.map((button) => {
    const { text, icon: Icon, of, keys, worded } = button
    const shown = keys?.replace('Arrow', '').replace('Left', '←').replace('Right', '→')
    return (
      <Button
        key={text}
        tone="quiet"
        className="px-2! text-sm"
        onClick={() => onPress(button)}
        disabled={!of.includes(chosen)}
        title={keys ? `${text} (${shown}, on the reach)` : text}
        {...(keys ? { 'aria-keyshortcuts': keys } : {})}
      >
        <Icon className="size-4" /> <span className={worded ? '' : 'max-2xl:sr-only'}>{text}</span>
      </Button>
    )
  })
})

function ReplacePanel({ rig, piece, edits }: { rig: Rig; piece: Piece; edits: Edits }) {
  const parts = newParts(rig.catalogue)
  return (
    <Panel
      open
      onOpenChange={() => edits.ask(undefined)}
      title={`Another part for ${theName(rig.trace, piece.id)}`}
      about="Parts attached to it move to the new part."
    >
      <PartChooser
        choices={(Object.keys(SINGLE_PARTS) as (keyof typeof SINGLE_PARTS)[]).map((each) => ({
          id: each,
          name: parts[each]?.name ?? each,
          group: SINGLE_PARTS[each].group,
          result: replacePart(rig, piece.id, each),
        }))}
        onChoose={edits.take}
      />
    </Panel>
  )
}

function AddPanel({ rig, selected, edits }: Props) {
  const { trace } = rig
  const places = placesAt(trace, selected)
  const [at, setAt] = useState(0)
  const place = places[at]
  const choices = place
    ? Object.entries(newParts(rig.catalogue)).map(
        ([id, { name, group }]): PartChoice => ({ id, name, group, result: addPart(rig, place, id) }),
      )
    : []
  return (
    <Panel
      open
      onOpenChange={() => edits.ask(undefined)}
      title="Add a part"
      about={
        place ? 'It starts with a suitable size. You can change everything later.' : 'First select a part or knot in the drawing.'
      }
    >
      {places.length > 1 && (
        <fieldset className="mt-3 grid gap-1">
          <legend className="text-sm font-semibold text-quiet">where</legend>
          {places.map((each, i) => (
            <label key={placeWords(each, trace)} className="flex min-h-8 items-center gap-2">
              <input type="radio" name="place" className="size-5" checked={i === at} onChange={() => setAt(i)} />
              {placeWords(each, trace)}
            </label>
          ))}
        </fieldset>
      )}
      {places.length === 1 && place && <p className="mt-3">{placeWords(place, trace)}</p>}
      {place && <PartChooser key={at} choices={choices} onChoose={edits.take} write={(text) => drawInWords(rig, place, text)} />}
    </Panel>
  )
}

/** Where else the part can be, with all that hangs from it. */
function MovePanel({ rig, piece, edits }: { rig: Rig; piece: Piece; edits: Edits }) {
  const places = placesToMove(rig, piece.id)
  return (
    <Panel
      open
      onOpenChange={() => edits.ask(undefined)}
      title={`Move ${theName(rig.trace, piece.id)}`}
      about="Its settings and the parts attached to it move with it."
    >
      <ul className="mt-3 grid gap-x-3">
        {places.map(({ place, result }) => (
          <li key={placeWords(place, rig.trace)}>
            <button
              type="button"
              className="min-h-9 w-full rounded-md px-2 py-1 text-left hover:bg-well"
              onClick={() => edits.take(result)}
            >
              {placeWords(place, rig.trace)}
            </button>
          </li>
        ))}
      </ul>
      {places.length === 0 && <p className="mt-3 text-quiet">It cannot be attached anywhere else.</p>}
    </Panel>
  )
}

function RemovePanel({ rig, piece: { id, attach }, edits }: { rig: Rig; piece: Piece; edits: Edits }) {
  const { trace } = rig
  const name = (each: string) => each.replaceAll('-', ' ')
  const alone = removePart(rig, id, { below: false })
  const all = removePart(rig, id, { below: true })
  const withIt = goesWith(trace, id)
  const parent = parentId(attach)
  return (
    <Panel open onOpenChange={() => edits.ask(undefined)} title={`Remove ${theName(trace, id)}`} about="Undo brings it back.">
      <div className="mt-3 grid gap-2">
        <Button disabled={!alone.ok} className="h-auto! py-2 whitespace-normal!" onClick={() => alone.ok && edits.take(alone)}>
          {withIt.length > 0
            ? `With the parts on it: ${withIt.map(name).join(', ')}`
            : `Only ${theName(trace, id)}; the rest is tied to ${parent === OUTFIT ? 'your main line' : theName(trace, parent)}`}
          {!alone.ok && ` – ${alone.why}`}
        </Button>
        <Button disabled={!all.ok} onClick={() => all.ok && edits.take(all)}>
          With everything attached to it
        </Button>
      </div>
    </Panel>
  )
}
