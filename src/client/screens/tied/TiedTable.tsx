import { Pencil, QrCode } from 'lucide-react'
import { Link } from 'react-router'
import { ageDays, TIED_STATES, type TiedReminder } from '../../../core/documents/tied.ts'
import type { TraceHead } from '../../../shared/traceHead.ts'
import type { SavedTied } from '../../api/tied.ts'
import { DocumentButtons } from '../../documents/DocumentButtons.tsx'
import type { DocumentActions } from '../../documents/useDocumentActions.ts'
import { useTiedState } from '../../documents/useTiedState.ts'
import { useShow } from '../../settings/preferences.tsx'
import { today } from '../../settings/today.ts'
import { Button, buttonClass, Select } from '../../ui/controls.tsx'
import { cardAddress } from '../../words/addresses.ts'
import { ageWords, REMINDER_WORDS, TIED_STATE_NAMES } from '../../words/tiedWords.ts'

/** A tied trace with the head of its design, where that is there. */
export type TiedRow = { saved: SavedTied; head: TraceHead | undefined; reminders: readonly TiedReminder[] }

type Props = {
  rows: readonly TiedRow[]
  isTrash: boolean
  actions: DocumentActions<'tied'>
  onEdit: (saved: SavedTied) => void
}

/** Tied traces one under the other, the oldest first; the state is changed in place. */
export function TiedTable({ rows, isTrash, actions, onEdit }: Props) {
  if (rows.length === 0) return <p className="text-quiet">None of the tied traces is so.</p>
  return (
    <ul aria-label="Tied traces" className="rounded-lg border border-rule bg-sheet px-3">
      {rows.map((row) => (
        <Row key={row.saved.id} row={row} isTrash={isTrash} actions={actions} onEdit={onEdit} />
      ))}
    </ul>
  )
}

function Row({ row: { saved, head, reminders }, isTrash, actions, onEdit }: Omit<Props, 'rows'> & { row: TiedRow }) {
  const show = useShow()
  const { id, content } = saved
  const { setState, isSaving } = useTiedState(saved)
  const facts = [
    content.keptIn,
    content.tiedBy && `by ${content.tiedBy}`,
    head ? undefined : 'its design is deleted',
    content.differs && `differs: ${content.differs}`,
    content.substitutes?.map(({ part, used }) => `${used} for ${part}`).join(', '),
  ].filter(Boolean)
  return (
    <li className="flex flex-wrap items-center gap-x-3 gap-y-1 border-rule py-1.5 not-first:border-t">
      <div className="min-w-56 flex-1">
        <p>
          {isTrash ? (
            <strong translate="no">{content.name}</strong>
          ) : (
            <Link to={cardAddress(id)} translate="no" className="font-semibold hover:underline">
              {content.name}
            </Link>
          )}{' '}
          <span className="text-sm text-quiet">
            {show.date(content.tiedOn)}, {ageWords(ageDays(content.tiedOn, today()))}
          </span>
        </p>
        {facts.length > 0 && (
          <p className="text-sm text-quiet" translate="no">
            {facts.join(' · ')}
          </p>
        )}
        {reminders.map((reminder) => (
          <p key={reminder} className="text-sm text-watch">
            <strong>{REMINDER_WORDS[reminder].name}</strong>: {REMINDER_WORDS[reminder].why}
          </p>
        ))}
      </div>
      {!isTrash && (
        <div className="w-32">
          <Select
            aria-label={`State of ${content.name}`}
            value={content.state}
            disabled={isSaving}
            onChoose={setState}
            choices={TIED_STATES.map((value) => ({ value, text: TIED_STATE_NAMES[value] }))}
          />
        </div>
      )}
      <span className="flex">
        {!isTrash && (
          <>
            <Link to={cardAddress(id)} className={buttonClass('quiet')} aria-label={`Card of ${content.name}`} title="Card">
              <QrCode className="size-4" aria-hidden="true" />
            </Link>
            <Button tone="quiet" aria-label={`Edit ${content.name}`} title="Edit" onClick={() => onEdit(saved)}>
              <Pencil className="size-4" aria-hidden="true" />
            </Button>
          </>
        )}
        <DocumentButtons id={id} name={content.name} saved={saved} isTrash={isTrash} actions={actions} />
      </span>
    </li>
  )
}
