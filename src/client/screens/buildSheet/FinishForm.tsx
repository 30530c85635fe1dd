import { useId, useMemo, useState } from 'react'
import { Link } from 'react-router'
import { type PlannedNeed, planBatch, usesOf } from '../../../core/batch/batchPlan.ts'
import type { BoxItem } from '../../../core/batch/candidates.ts'
import type { Batch } from '../../../core/documents/batch.ts'
import { cutText } from '../../../core/documents/text.ts'
import type { Tied } from '../../../core/documents/tied.ts'
import type { Trace } from '../../../core/documents/trace.ts'
import { TIED_VERSION } from '../../../core/documents/versions.ts'
import type { Setup } from '../../../core/setup/setup.ts'
import type { FinishBody } from '../../../shared/batches.ts'
import type { SavedDocument } from '../../api/documents.ts'
import { newId } from '../../api/newId.ts'
import { useBox } from '../../api/stock.ts'
import { useShow } from '../../settings/preferences.tsx'
import { today } from '../../settings/today.ts'
import { useKeptText } from '../../settings/useKeptText.ts'
import { Button, Field, fieldClass } from '../../ui/controls.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { Panel } from '../../ui/Panel.tsx'
import { Fault } from '../../ui/states.tsx'
import { needWords } from '../../words/needWords.ts'

/** The batch that is finished, its design, and how it is made from the box. */
export type FinishOf = {
  batch: SavedDocument<'batches'>
  trace: Trace
  box: { setup: Setup; choices: NonNullable<Batch['choices']> }
  finished: number
}
type Props = FinishOf & {
  isBusy: boolean
  error: Error | null
  onFinish: (finish: FinishBody) => void
  onClose: () => void
}

const NO_BOX: BoxItem[] = []
/** Leaves room in a name for the number of the trace. */
const MAX_BASE_NAME = 72

/** Finishing traces: how many, by whom, where they lie, and what is taken from the box for them. */
export function FinishForm({ batch, trace, box: { setup, choices }, finished, isBusy, error, onFinish, onClose }: Props) {
  const id = useId()
  const show = useShow()
  const { catalogue } = setup
  const { box = NO_BOX } = useBox()
  const left = batch.content.count - finished
  const [count, setCount] = useState(left)
  const [tiedBy, setTiedBy] = useKeptText('tied-by')
  const [keptIn, setKeptIn] = useKeptText('kept-in')
  const [tiedOn, setTiedOn] = useState(today)
  const [differs, setDiffers] = useState('')
  // One id for one finish, however often its answer is lost.
  const [finishId] = useState(newId)
  const plan = useMemo(() => planBatch({ trace, catalogue, box, choices }, count), [trace, catalogue, box, choices, count])
  const short = plan.filter((planned) => planned.from && planned.short > 0)
  const uses = usesOf(plan)
  const finish = () =>
    onFinish({
      id: finishId,
      movements: uses.map((use) => ({ ...use, id: newId() })),
      tied: Array.from({ length: count }, (_, i) => ({
        id: newId(),
        content: tiedTrace(batch, trace, finished + i + 1, {
          tiedOn,
          ...(tiedBy.trim() && { tiedBy: tiedBy.trim() }),
          ...(keptIn.trim() && { keptIn: keptIn.trim() }),
          ...(differs.trim() && { differs: differs.trim() }),
          ...substitutesOf(plan, (need) => needWords(catalogue, need, show)),
        }),
      })),
    })
  return (
    <Panel
      open
      onOpenChange={onClose}
      title="Finish traces"
      about="The stock is taken and the traces are listed as tied and ready."
    >
      <form
        className="mt-3 grid gap-2"
        noValidate
        onSubmit={(event) => {
          event.preventDefault()
          if (short.length === 0 && tiedOn) finish()
        }}
      >
        <NumberField label="traces" value={count} whole least={1} most={left} onChange={(value) => value && setCount(value)} />
        <TextRow id={`${id}-by`} label="tied by" value={tiedBy} placeholder="a name or initials" onChange={setTiedBy} />
        <TextRow id={`${id}-in`} label="kept in" value={keptIn} placeholder="a winder, a wallet slot" onChange={setKeptIn} />
        <Field label="tied on" htmlFor={`${id}-on`}>
          <input
            id={`${id}-on`}
            type="date"
            className={fieldClass}
            value={tiedOn}
            onChange={({ target }) => setTiedOn(target.value)}
          />
        </Field>
        <TextRow id={`${id}-differs`} label="differs" value={differs} placeholder="nothing" most={400} onChange={setDiffers} />
        {uses.length > 0 && (
          <p className="text-sm text-quiet">
            Taken from the box:{' '}
            {plan
              .filter(isTaken)
              .map((planned) => takenWords(planned, show))
              .join(', ')}
            .
          </p>
        )}
        {short.map(({ need, traces = 0, from }) => (
          <Fault key={need.piece}>
            The box has {from?.item.gear.name} for {traces === 1 ? '1 trace' : `${traces} traces`} only.{' '}
            <Link to="/gear/box/count" className="underline">
              Count it again
            </Link>
            , finish fewer, or choose other gear on the sheet.
          </Fault>
        ))}
        {error && <Fault>{error.message}</Fault>}
        <Button type="submit" tone="strong" className="justify-self-end" disabled={isBusy || short.length > 0 || !tiedOn}>
          Finish {count === 1 ? 'it' : count}
        </Button>
      </form>
    </Panel>
  )
}

const isTaken = ({ from, onHand }: PlannedNeed) => from !== undefined && onHand !== undefined

const takenWords = ({ need, needed, from }: PlannedNeed, show: ReturnType<typeof useShow>): string =>
  `${need.kind === 'line' ? `${show.tape(needed)} of` : `${needed} ×`} ${from?.item.gear.name}`

const substitutesOf = (plan: readonly PlannedNeed[], words: (need: PlannedNeed['need']) => string): Pick<Tied, 'substitutes'> => {
  const substitutes = plan.flatMap(({ need, from }) =>
    from && !from.isSame ? [{ part: cutText(words(need), 120), used: from.item.gear.name }] : [],
  )
  return substitutes.length > 0 ? { substitutes } : {}
}

const tiedTrace = (
  { id, content: { traceId, traceRevision } }: SavedDocument<'batches'>,
  { name }: Trace,
  number: number,
  more: Pick<Tied, 'tiedOn'> & Partial<Tied>,
): Tied => ({
  formatVersion: TIED_VERSION,
  name: `${cutText(name, MAX_BASE_NAME)} ${number}`,
  traceId,
  traceRevision,
  batchId: id,
  state: 'ready',
  ...more,
})

type TextProps = {
  id: string
  label: string
  value: string
  placeholder: string
  most?: number
  onChange: (text: string) => void
}

const TextRow = ({ id, label, value, placeholder, most = 80, onChange }: TextProps) => (
  <Field label={label} htmlFor={id}>
    <input
      id={id}
      className={fieldClass}
      value={value}
      maxLength={most}
      placeholder={placeholder}
      onChange={({ target }) => onChange(target.value)}
    />
  </Field>
)
