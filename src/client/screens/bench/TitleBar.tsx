import { useQuery } from '@tanstack/react-query'
import { CalendarClock, Hammer, Redo2, Save, Undo2, Waves } from 'lucide-react'
import { memo } from 'react'
import { Link } from 'react-router'
import { familyName } from '../../../core/catalogue/familyIds.ts'
import { waysFor } from '../../../core/setup/moving/ways.ts'
import { marksQuery, type SavedOutfit, type SavedTrace } from '../../api/documents.ts'
import { DraftNotes } from '../../documents/DraftNotes.tsx'
import { HistoryPanel } from '../../documents/HistoryPanel.tsx'
import { useShow } from '../../settings/preferences.tsx'
import { Button, buttonClass, fieldClass } from '../../ui/controls.tsx'
import { planAddress } from '../../words/addresses.ts'
import { madeForWords } from '../../words/purposeWords.ts'
import { ExportMenu } from './ExportMenu.tsx'
import { NamePanel } from './NamePanel.tsx'
import type { Bench } from './useBench.ts'

type Props = { bench: Bench; saved: SavedTrace; outfits: SavedOutfit[] }

/** What the trace is called and kept as, its outfit, and the ways on. It rests while only a part is changed. */
export const TitleBar = memo(function TitleBar({ bench, saved, outfits }: Props) {
  const { trace, outfitId, conditions, markId } = bench.content
  const show = useShow()
  const mark = useQuery(marksQuery).data?.find(({ id }) => id === markId)?.content.name
  const outfit = outfits.find(({ id }) => id === outfitId)?.content
  return (
    <header className="flex min-w-0 flex-wrap items-end gap-x-4 gap-y-2">
      <div className="flex min-w-64 flex-1 flex-wrap items-baseline gap-x-3 max-md:basis-full">
        <DraftNotes draft={bench.draft} onTakeUp={bench.takeUp} />
        <div>
          <h1 className="inline text-xl leading-tight font-bold" translate="no">
            {trace.name}
          </h1>
          <NamePanel bench={bench} />
        </div>
        <p className="min-w-0 text-sm text-quiet md:truncate">
          <span role="status">
            {bench.saving
              ? 'saving …'
              : bench.dirty
                ? `unsaved changes since revision ${bench.baseRevision}`
                : `revision ${bench.baseRevision}, saved ${show.clock(Date.parse(bench.savedAt))}`}
          </span>
          {['', familyName(trace.family), madeForWords(conditions, mark) || undefined, trace.notes]
            .filter((text) => text !== undefined)
            .join(' · ')}
        </p>
      </div>
      <label className="flex min-w-0 items-center gap-2 text-quiet">
        on
        <select
          className={`${fieldClass} w-auto max-w-52 text-ink`}
          value={outfitId}
          onChange={(event) => bench.chooseOutfit(event.target.value)}
          aria-label="Outfit"
        >
          {outfits.every(({ id }) => id !== outfitId) && <option value={outfitId}>choose an outfit</option>}
          {outfits.map(({ id, content }) => (
            <option key={id} value={id} translate="no">
              {content.name}
            </option>
          ))}
        </select>
      </label>
      <div className="flex flex-wrap gap-1.5">
        <span className="flex gap-1.5">
          <Button
            onClick={bench.undo}
            disabled={!bench.canUndo}
            aria-keyshortcuts="Control+Z"
            aria-label="Undo"
            title="Undo (Ctrl+Z)"
          >
            <Undo2 className="size-4" />
          </Button>
          <Button
            onClick={bench.redo}
            disabled={!bench.canRedo}
            aria-keyshortcuts="Control+Shift+Z"
            aria-label="Redo"
            title="Redo (Ctrl+Shift+Z)"
          >
            <Redo2 className="size-4" />
          </Button>
          <HistoryPanel
            kind="traces"
            id={saved.id}
            current={bench.content}
            onBringBack={bench.bringBack}
            more={(revision) => (
              <Link to={`/compare?with=${saved.id},${saved.id}@${revision}`} className={buttonClass('quiet')}>
                Compare with the saved one
              </Link>
            )}
          />
          <ExportMenu content={bench.content} outfit={outfit} />
        </span>
        <Button
          tone="strong"
          onClick={bench.save}
          disabled={!bench.dirty || bench.saving}
          aria-keyshortcuts="Control+S"
          title="Save (Ctrl+S)"
        >
          <Save className="size-4" /> Save
        </Button>
        {(conditions.moving || waysFor(trace, conditions).length > 0) && (
          <Link to={`/traces/${saved.id}?moving`} className={buttonClass()}>
            <Waves className="size-4" /> Line movement
          </Link>
        )}
        <Link to={planAddress(saved.id, markId)} className={buttonClass()} aria-label="Plan the day" title="Plan the day">
          <CalendarClock className="size-4" aria-hidden="true" /> Plan
        </Link>
        <Link to={`/traces/${saved.id}/build`} className={buttonClass()}>
          <Hammer className="size-4" /> Build
        </Link>
      </div>
    </header>
  )
})
