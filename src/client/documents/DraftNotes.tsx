import { useMemo } from 'react'
import type { ContentOf } from '../../shared/documentKinds.ts'
import type { DocumentKind } from '../../shared/kindNames.ts'
import { useShow } from '../settings/preferences.tsx'
import { Button } from '../ui/controls.tsx'
import type { Draft, OtherDraft } from './draftKeeper.ts'
import type { DraftState } from './useDraft.ts'

/** What is to be known of unsaved work: that it is not kept, or that there is more of it than is shown. */
export function DraftNotes<K extends DocumentKind>({
  draft,
  onTakeUp,
}: {
  draft: DraftState<K>
  onTakeUp: (taken: Draft<ContentOf<K>>) => void
}) {
  return (
    <>
      {draft.notStored && (
        <p role="alert" className="text-sm text-fails">
          This browser cannot store your changes. Save before you leave this page.
        </p>
      )}
      {draft.others.map((other) => (
        <Other key={other.key} draft={draft} other={other} onTakeUp={onTakeUp} />
      ))}
    </>
  )
}

function Other<K extends DocumentKind>({
  draft,
  other,
  onTakeUp,
}: {
  draft: DraftState<K>
  other: OtherDraft
  onTakeUp: (taken: Draft<ContentOf<K>>) => void
}) {
  const { look } = draft
  const show = useShow()
  const content = useMemo(() => look(other), [look, other])
  const when = other.keptAtMs === 0 ? '' : `, kept ${show.date(new Date(other.keptAtMs))}, ${show.clock(other.keptAtMs)}`
  return (
    <p className="flex flex-wrap items-center gap-2 text-sm text-watch">
      {'message' in content
        ? `Unsaved work on this cannot be opened${when}. ${content.message}`
        : other.elsewhere
          ? `Another window has unsaved work on this${when}.`
          : `There is other unsaved work on this${when}.`}
      {!('message' in content) && (
        <Button
          onClick={() => {
            onTakeUp(content)
            // What another window has open stays its own.
            if (!other.elsewhere) draft.discard(other)
          }}
        >
          Show it here
        </Button>
      )}
      <Button tone="quiet" onClick={() => draft.discard(other)}>
        Delete it
      </Button>
    </p>
  )
}
