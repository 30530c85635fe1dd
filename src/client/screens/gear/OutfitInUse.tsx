import { useState } from 'react'
import { fetchTracesOnOutfit, type SavedOutfit } from '../../api/documents.ts'
import { toast } from '../../regional/toast.ts'
import { Button } from '../../ui/controls.tsx'
import { Panel } from '../../ui/Panel.tsx'

/** Names that are listed; of more the number is said. */
const MAX_NAMED = 8

type Deletion = { outfit: SavedOutfit } & Awaited<ReturnType<typeof fetchTracesOnOutfit>>

/**
 * Deletes an outfit; one that traces are fished on only after it is said which they are.
 * @returns the question to show, and what a Delete button calls.
 */
export function useOutfitRemoval(moveToTrash: (id: string) => void) {
  const [asked, setAsked] = useState<Deletion>()
  const remove = async (outfit: SavedOutfit) => {
    try {
      const used = await fetchTracesOnOutfit(outfit.id)
      if (used.traces.length === 0) moveToTrash(outfit.id)
      else setAsked({ outfit, ...used })
    } catch (error) {
      toast.error((error as Error).message)
    }
  }
  const close = () => setAsked(undefined)
  const confirm = () => {
    if (asked) moveToTrash(asked.outfit.id)
    close()
  }
  return { remove, question: asked && <OutfitInUse asked={asked} onConfirm={confirm} onClose={close} /> }
}

function OutfitInUse({ asked, onConfirm, onClose }: { asked: Deletion; onConfirm: () => void; onClose: () => void }) {
  const { outfit, traces, hasMore } = asked
  const more = traces.length - MAX_NAMED
  return (
    <Panel
      open
      onOpenChange={(open) => !open && onClose()}
      title={`Delete ${outfit.content.name}?`}
      about={`${traces.length}${hasMore ? ' or more' : ''} ${traces.length === 1 ? 'trace needs' : 'traces need'} this outfit. Without it they cannot be judged or changed.`}
    >
      <ul className="mt-3 list-disc pl-5">
        {traces.slice(0, MAX_NAMED).map(({ id, name }) => (
          <li key={id}>{name}</li>
        ))}
        {more > 0 && (
          <li>
            and {more}
            {hasMore ? ' or' : ''} more
          </li>
        )}
      </ul>
      <div className="mt-4 flex justify-end gap-2">
        <Button data-focus-first onClick={onClose}>
          Keep it
        </Button>
        <Button tone="strong" onClick={onConfirm}>
          Delete the outfit
        </Button>
      </div>
    </Panel>
  )
}
