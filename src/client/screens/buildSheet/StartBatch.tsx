import { ListChecks } from 'lucide-react'
import { useId, useState } from 'react'
import { useNavigate } from 'react-router'
import { type Batch, MAX_BATCH } from '../../../core/documents/batch.ts'
import { cutText } from '../../../core/documents/text.ts'
import { BATCH_VERSION } from '../../../core/documents/versions.ts'
import { MAX_NAME } from '../../../core/documents/vocabulary.ts'
import { useCreate } from '../../documents/useCreation.ts'
import { Button, Field, fieldClass } from '../../ui/controls.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { Panel } from '../../ui/Panel.tsx'
import { Fault } from '../../ui/states.tsx'
import { batchAddress } from '../../words/addresses.ts'

type Props = {
  traceId: string
  name: string
  /** Undefined where there is unsaved work: a batch is of a saved revision. */
  revision: number | undefined
  count: number
  choices: NonNullable<Batch['choices']>
}

/** Begins a batch: so many traces of this revision, with work that is shared and can be left. */
export function StartBatch({ traceId, name, revision, count: first, choices }: Props) {
  const id = useId()
  const navigate = useNavigate()
  const [isOpen, setOpen] = useState(false)
  const [count, setCount] = useState(first)
  const [typedName, setName] = useState('')
  const [forDate, setDate] = useState('')
  const { create, isPending, error } = useCreate('batches', {
    onMade: (saved) => void navigate(batchAddress(traceId, saved.id)),
  })
  const usual = cutText(`${count} × ${name}`, MAX_NAME)
  return (
    <Panel
      open={isOpen}
      onOpenChange={(next) => {
        setOpen(next)
        setCount(first > 1 ? first : DEFAULT_COUNT)
      }}
      title="Start a batch"
      about="A batch keeps its cut list and what is done of it. Others see your ticks, and you can go on another day."
      trigger={
        <Button
          disabled={revision === undefined}
          title={revision === undefined ? 'Save first: a batch is of a saved revision' : undefined}
        >
          <ListChecks className="size-4" aria-hidden="true" /> Start a batch
        </Button>
      }
    >
      <form
        className="mt-3 grid gap-2"
        noValidate
        onSubmit={(event) => {
          event.preventDefault()
          if (revision === undefined) return
          create({
            formatVersion: BATCH_VERSION,
            name: typedName.trim() || usual,
            traceId,
            traceRevision: revision,
            count,
            ...(forDate ? { forDate } : {}),
            ...(choices.length > 0 ? { choices } : {}),
          })
        }}
      >
        <NumberField
          label="traces"
          value={count}
          whole
          least={1}
          most={MAX_BATCH}
          onChange={(value) => value && setCount(value)}
        />
        <Field label="name" htmlFor={`${id}-name`}>
          <input
            id={`${id}-name`}
            className={fieldClass}
            value={typedName}
            placeholder={usual}
            maxLength={MAX_NAME}
            onChange={({ target }) => setName(target.value)}
          />
        </Field>
        <Field label="ready for" htmlFor={`${id}-date`} hint="the day you need them, if you know it">
          <input
            id={`${id}-date`}
            type="date"
            className={fieldClass}
            value={forDate}
            onChange={({ target }) => setDate(target.value)}
          />
        </Field>
        {error && <Fault>{error.message}</Fault>}
        <Button type="submit" tone="strong" className="justify-self-end" disabled={isPending}>
          Start
        </Button>
      </form>
    </Panel>
  )
}

/** Of a batch that was begun from a sheet for one. */
const DEFAULT_COUNT = 8
