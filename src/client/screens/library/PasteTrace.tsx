import { useQuery } from '@tanstack/react-query'
import { useDeferredValue, useId, useMemo, useState } from 'react'
import { useNavigate } from 'react-router'
import { defaultConditions } from '../../../core/documents/conditions.ts'
import { OUTFIT } from '../../../core/documents/vocabulary.ts'
import { drawInWords } from '../../../core/edit/inWords.ts'
import { emptyTrace } from '../../../core/families/emptyTrace.ts'
import { assumedFor } from '../../../core/purpose/assumed.ts'
import { crewSettingsQuery, type SavedOutfit } from '../../api/documents.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { MiniReach } from '../../charts/MiniReach.tsx'
import { useCreate } from '../../documents/useCreation.ts'
import { Button, Field, fieldClass, namesOf, Select } from '../../ui/controls.tsx'
import { Fault } from '../../ui/states.tsx'

const NAME = 'Pasted trace'

/** A trace from the words that “Copy as text” writes, or that someone typed: drawn as it is read, and made with one button. */
export function PasteTrace({ outfits }: { outfits: SavedOutfit[] }) {
  const id = useId()
  const catalogue = useCatalogue()
  const navigate = useNavigate()
  const [text, setText] = useState('')
  const [outfitId, setOutfitId] = useState(outfits[0]?.id)
  const outfit = outfits.find((each) => each.id === outfitId)
  // A long text takes a while to draw: typing does not wait for it.
  const later = useDeferredValue(text)
  const drawn = useMemo(
    () =>
      later.trim() === '' || !outfit
        ? undefined
        : drawInWords({ trace: emptyTrace(NAME), outfit: outfit.content, catalogue }, { at: 'end', of: OUTFIT }, later),
    [later, outfit, catalogue],
  )
  const own = useQuery(crewSettingsQuery).data?.content.conditions
  const making = useCreate('traces', { onMade: (made) => void navigate(`/traces/${made.id}`) })
  if (!outfit) return <p className="text-sm text-quiet">To make a trace from text, add an outfit first.</p>
  return (
    <form
      className="grid gap-2"
      onSubmit={(event) => {
        event.preventDefault()
        if (!drawn?.ok || later !== text) return
        const conditions = { ...defaultConditions(own), ...assumedFor(outfit.content) }
        making.create({ trace: drawn.trace, outfitId: outfit.id, conditions })
      }}
    >
      <label htmlFor={id}>trace as text</label>
      <textarea
        id={id}
        className={`${fieldClass} min-h-24`}
        value={text}
        spellCheck={false}
        placeholder="leader 40 lb 3 m, swivel, snood 60 cm, hook 2/0, sandeel"
        aria-invalid={drawn && !drawn.ok ? true : undefined}
        aria-describedby={drawn && !drawn.ok ? `${id}-fault` : undefined}
        onChange={(event) => setText(event.target.value)}
      />
      {drawn && !drawn.ok && (
        <p id={`${id}-fault`} role="alert" className="text-sm text-fails">
          {drawn.why}
        </p>
      )}
      {drawn?.ok && (
        <>
          <MiniReach trace={drawn.trace} outfit={outfit.content} />
          <Field label="outfit" htmlFor={`${id}-outfit`}>
            <Select id={`${id}-outfit`} value={outfit.id} onChoose={setOutfitId} choices={namesOf(outfits)} />
          </Field>
          <Button tone="strong" type="submit" disabled={making.isPending}>
            Make this trace
          </Button>
        </>
      )}
      {making.error && <Fault>{making.error.message}</Fault>}
    </form>
  )
}
