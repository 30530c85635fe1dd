import { useState } from 'react'
import { Link } from 'react-router'
import { type BatchWork, useFinishing } from '../../api/batches.ts'
import { toast } from '../../regional/toast.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Button, Sheet } from '../../ui/controls.tsx'
import { Fault } from '../../ui/states.tsx'
import { FinishForm, type FinishOf } from './FinishForm.tsx'

type Props = FinishOf & { work: BatchWork }

/** How many traces of a batch are finished, by whom, and a way to finish more or to take it back. */
export function FinishTraces({ batch, trace, box, work, finished }: Props) {
  const show = useShow()
  const [isOpen, setOpen] = useState(false)
  const { count } = batch.content
  const change = useFinishing(batch.id)
  const undo = (id: string) =>
    change.mutate(
      { undo: id },
      {
        onSuccess: () => toast('The stock is given back. The tied traces are in the trash.'),
        onError: (error) => toast.error(error.message),
      },
    )
  const finishes = work.progress?.finishes ?? []
  return (
    <Sheet
      title={`${finished} of ${count} finished`}
      aside={
        <Button tone="strong" className="no-print" disabled={finished >= count} onClick={() => setOpen(true)}>
          Finish traces
        </Button>
      }
    >
      <progress
        className="h-2 w-full accent-tide"
        value={finished}
        max={count}
        aria-label={`${finished} of ${count} traces are finished`}
      />
      {finishes.length > 0 && (
        <ul aria-label="Finished" className="mt-1">
          {finishes.map(({ id, tied, observer, recordedAt }) => (
            <li key={id} className="flex items-center gap-3 border-t border-rule py-1">
              <span className="mr-auto">
                {tied.length === 1 ? '1 trace' : `${tied.length} traces`},{' '}
                <span className="text-quiet">
                  {show.date(new Date(recordedAt))}, <span translate="no">{observer}</span>
                </span>
              </span>
              <Button
                tone="quiet"
                className="no-print"
                disabled={change.isPending}
                aria-label={`Undo the finishing of ${tied.length}`}
                onClick={() => undo(id)}
              >
                Undo
              </Button>
            </li>
          ))}
        </ul>
      )}
      {finished >= count && (
        <p className="mt-1">
          All are tied.{' '}
          <Link to="/tied" className="no-print underline">
            Tied traces
          </Link>
        </p>
      )}
      {change.error && !isOpen && <Fault>{change.error.message}</Fault>}
      {isOpen && (
        <FinishForm
          batch={batch}
          trace={trace}
          box={box}
          finished={finished}
          isBusy={change.isPending}
          error={change.error}
          onClose={() => {
            change.reset()
            setOpen(false)
          }}
          onFinish={(finish) =>
            change.mutate(
              { finish },
              {
                onSuccess: () => {
                  setOpen(false)
                  toast(`${finish.tied.length === 1 ? '1 trace is' : `${finish.tied.length} traces are`} tied and ready.`, {
                    action: { label: 'Undo', onClick: () => undo(finish.id) },
                  })
                },
              },
            )
          }
        />
      )}
    </Sheet>
  )
}
