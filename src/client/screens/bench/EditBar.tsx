import { ArrowLeft, ArrowRight, Plus, Replace, Scissors, Trash2 } from 'lucide-react'
import { useState } from 'react'
import type { Outfit } from '../../../core/trace/outfit.ts'
import { addPart } from '../../../core/trace/redraw/addPart.ts'
import { NEW_PARTS, SINGLE_PARTS } from '../../../core/trace/redraw/newParts.ts'
import { placesAt } from '../../../core/trace/redraw/places.ts'
import { goesWith, removePart } from '../../../core/trace/redraw/removePart.ts'
import { replacePart } from '../../../core/trace/redraw/replacePart.ts'
import { isLine, OUTFIT, parentId, pieceOfLink, type Trace } from '../../../core/trace/schema.ts'
import { Button } from '../../ui/controls.tsx'
import { Panel } from '../../ui/Panel.tsx'
import { placeWords, theName } from '../../words/placeWords.ts'
import { type PartChoice, PartChooser } from './PartChooser.tsx'
import type { Redraw } from './useRedraw.ts'

type Props = { trace: Trace; outfit: Outfit; selected: string; redraw: Redraw }

/** What can be done to the chosen part: put one in, change it for another, split, change places, take out. */
export function EditBar({ trace, outfit, selected, redraw }: Props) {
  const piece = trace.pieces.find(({ id }) => id === pieceOfLink(selected))
  const { asked, ask } = redraw
  return (
    <div role="toolbar" aria-label="Change the trace" className="flex flex-wrap gap-1">
      <BarButton onClick={() => ask('add')} keys="Insert" text="Add part" icon={<Plus className="size-4" />} />
      <BarButton onClick={() => ask('replace')} off={!piece} text="Replace" icon={<Replace className="size-4" />} />
      <BarButton onClick={redraw.split} off={!isLine(piece)} text="Split" icon={<Scissors className="size-4" />} />
      <BarButton
        onClick={() => redraw.move('reel')}
        off={!piece}
        keys="Shift+ArrowLeft"
        text="To the reel"
        icon={<ArrowLeft className="size-4" />}
      />
      <BarButton
        onClick={() => redraw.move('hook')}
        off={!piece}
        keys="Shift+ArrowRight"
        text="To the hook"
        icon={<ArrowRight className="size-4" />}
      />
      <BarButton onClick={redraw.remove} off={!piece} keys="Delete" text="Remove" icon={<Trash2 className="size-4" />} />
      {asked === 'add' && <AddPanel trace={trace} outfit={outfit} selected={selected} redraw={redraw} />}
      {asked === 'replace' && piece && (
        <Panel
          open
          onOpenChange={() => ask(undefined)}
          title={`Another part for ${theName(trace, piece.id)}`}
          about="What hangs from it hangs from the new part."
        >
          <PartChooser
            choices={(Object.keys(SINGLE_PARTS) as (keyof typeof SINGLE_PARTS)[]).map((id) => ({
              id,
              ...SINGLE_PARTS[id],
              result: replacePart(trace, outfit, piece.id, id),
            }))}
            onChoose={redraw.take}
          />
        </Panel>
      )}
      {asked === 'remove' && piece && <RemovePanel trace={trace} outfit={outfit} id={piece.id} redraw={redraw} />}
    </div>
  )
}

type ButtonProps = { onClick: () => void; off?: boolean; keys?: string; text: string; icon: React.ReactNode }

function BarButton({ onClick, off = false, keys, text, icon }: ButtonProps) {
  const shown = keys?.replace('Arrow', '').replace('Left', '←').replace('Right', '→')
  return (
    <Button
      tone="quiet"
      className="px-2! text-sm"
      onClick={onClick}
      disabled={off}
      {...(keys ? { 'aria-keyshortcuts': keys, title: `${text} (${shown}, on the reach)` } : {})}
    >
      {icon} {text}
    </Button>
  )
}

function AddPanel({ trace, outfit, selected, redraw }: Props) {
  const places = placesAt(trace, selected)
  const [at, setAt] = useState(0)
  const place = places[at]
  const choices = place
    ? Object.entries(NEW_PARTS).map(([id, part]): PartChoice => ({ id, ...part, result: addPart(trace, outfit, place, id) }))
    : []
  return (
    <Panel
      open
      onOpenChange={() => redraw.ask(undefined)}
      title="Add a part"
      about={
        place
          ? 'It comes in the size that suits; everything about it can be changed after.'
          : 'Choose a part or joint on the reach first: nothing goes here.'
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
      {places.length === 1 && <p className="mt-3">{placeWords(places[0]!, trace)}</p>}
      {place && <PartChooser key={at} choices={choices} onChoose={redraw.take} />}
    </Panel>
  )
}

function RemovePanel({ trace, outfit, id, redraw }: { trace: Trace; outfit: Outfit; id: string; redraw: Redraw }) {
  const name = (each: string) => each.replaceAll('-', ' ')
  const alone = removePart(trace, outfit, id, { below: false })
  const all = removePart(trace, outfit, id, { below: true })
  const withIt = goesWith(trace, id)
  const parent = parentId(trace.pieces.find((piece) => piece.id === id)!.attach)
  return (
    <Panel open onOpenChange={() => redraw.ask(undefined)} title={`Take out ${theName(trace, id)}`} about="Undo brings it back.">
      <div className="mt-3 grid gap-2">
        <Button disabled={!alone.ok} className="h-auto! py-2 whitespace-normal!" onClick={() => alone.ok && redraw.take(alone)}>
          {withIt.length > 0
            ? `With what rides on it: ${withIt.map(name).join(', ')}`
            : `Only ${theName(trace, id)}; what follows is tied to ${parent === OUTFIT ? 'the outfit’s line' : theName(trace, parent)}`}
          {!alone.ok && ` – ${alone.why}`}
        </Button>
        <Button disabled={!all.ok} onClick={() => all.ok && redraw.take(all)}>
          With all that hangs from it
        </Button>
      </div>
    </Panel>
  )
}
