import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useEffect, useRef, useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { toast } from 'sonner'
import { BEDS, type Bed } from '../../../core/gear/grip.ts'
import { type Mark, markSchema } from '../../../core/mark/mark.ts'
import { isCastMethod, METHODS, type Method } from '../../../core/trace/waterConditions.ts'
import type { Port } from '../../../shared/tides.ts'
import { dropDraft, keepDraft, readDraft } from '../../api/drafts.ts'
import { createMark, marksQuery, type SavedMark, saveMark } from '../../api/water.ts'
import { Button, buttonClass, Field, fieldClass, Select, Sheet } from '../../ui/controls.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { PositionField } from '../../ui/PositionField.tsx'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { HeightTable } from './HeightTable.tsx'
import { StreamTable } from './StreamTable.tsx'

type Props = { saved: SavedMark | undefined; first: Mark; ports: readonly Port[] }

/** Everything that is known of a mark. What is typed is kept in this browser until it is saved. */
export function MarkForm({ saved, first, ports }: Props) {
  const navigate = useNavigate()
  const client = useQueryClient()
  const form = useRef<HTMLFormElement>(null)
  const draftId = saved?.id ?? 'new-mark'
  const [kept] = useState(() => readDraft(markSchema, draftId))
  const [base, setBase] = useState(kept?.baseRevision ?? saved?.revision ?? 1)
  const [mark, setMark] = useState<Mark>(kept?.content ?? first)
  const [touched, setTouched] = useState(kept !== undefined)
  const [complaint, setComplaint] = useState<string>()
  const keptText = useRef<string>(undefined)
  useEffect(() => {
    if (touched) keptText.current = keepDraft(draftId, base, mark)
  }, [touched, draftId, base, mark])
  const change = (next: Partial<Mark>) => {
    setTouched(true)
    setComplaint(undefined)
    setMark((old) => ({ ...old, ...next }))
  }
  const forget = () => {
    if (keptText.current) dropDraft(draftId, keptText.current)
    client.invalidateQueries({ queryKey: marksQuery.queryKey })
  }
  const save = useMutation({
    mutationFn: async ({ content, onto }: { content: Mark; onto: number }) =>
      saved ? saveMark(saved.id, onto, content) : { saved: await createMark(crypto.randomUUID(), content) },
    onSuccess: (result) => {
      if ('stale' in result) return
      forget()
      toast('The mark is saved.')
      navigate('/water/marks')
    },
  })
  const theirs = save.data && 'stale' in save.data ? save.data.stale : undefined
  const submit = (onto: number) => {
    const faulty = form.current?.querySelector<HTMLElement>('[aria-invalid=true]')
    if (faulty) {
      faulty.focus()
      return setComplaint('Something marked does not read: mend it first. Nothing was saved.')
    }
    const parsed = markSchema.safeParse(mark)
    if (!parsed.success) {
      const issue = parsed.error.issues[0]!
      return setComplaint(`${FIELD_WORDS[String(issue.path[0])] ?? 'The mark'} ${issue.message}. Nothing was saved.`)
    }
    save.mutate({ content: parsed.data, onto })
  }
  const takeTheirs = ({ content, revision }: SavedMark) => {
    forget()
    setTouched(false)
    setMark(content)
    setBase(revision)
    save.reset()
  }
  const cast = isCastMethod(mark.method)
  return (
    <form
      ref={form}
      className="grid grid-cols-[minmax(0,1fr)] gap-3 p-3 sm:px-6"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        submit(base)
      }}
    >
      <div className="flex flex-wrap items-center gap-3">
        <h1 className="mr-auto text-xl font-bold">{saved ? saved.content.name : 'New mark'}</h1>
        {kept && touched && <span className="text-sm text-watch">with what you left unsaved</span>}
        <Link to="/water/marks" className={buttonClass('quiet')}>
          All marks
        </Link>
        <Button type="submit" tone="strong" disabled={save.isPending}>
          Save
        </Button>
      </div>
      {complaint && (
        <p role="alert" className="rounded-lg border border-fails bg-sheet p-3">
          {complaint}
        </p>
      )}
      {save.error && (
        <p role="alert" className="rounded-lg border border-fails bg-sheet p-3">
          {save.error.message}
        </p>
      )}
      {theirs && (
        <div role="alert" className="flex flex-wrap items-center gap-3 rounded-lg border border-watch bg-sheet p-3">
          <span className="mr-auto">This mark was saved elsewhere since. Nothing is lost: yours is here, theirs is kept.</span>
          <Button onClick={() => takeTheirs(theirs)}>Take theirs</Button>
          <Button tone="strong" onClick={() => submit(theirs.revision)}>
            Save mine over it
          </Button>
        </div>
      )}
      <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-3 lg:grid-cols-2">
        <div className="grid gap-3">
          <Sheet title="The place">
            <div className="grid gap-2">
              <Field label="name" htmlFor="mark-name">
                <input
                  id="mark-name"
                  className={fieldClass}
                  value={mark.name}
                  maxLength={80}
                  onChange={(event) => change({ name: event.target.value })}
                />
              </Field>
              <PositionField kind="latitude" deg={mark.latitudeDeg} onChange={(latitudeDeg) => change({ latitudeDeg })} />
              <PositionField kind="longitude" deg={mark.longitudeDeg} onChange={(longitudeDeg) => change({ longitudeDeg })} />
              <QuantityField
                label="depth"
                quantity="length"
                valueSi={mark.depthM}
                check={(m) => (m > 0 && m <= 2000 ? undefined : 'More than nothing, up to 2 km.')}
                onChange={(depthM) => change({ depthM })}
                hint="at chart datum; the tide comes on top"
              />
              <Field label="bed" htmlFor="mark-bed">
                <Select
                  id="mark-bed"
                  value={mark.bed}
                  onChange={(event) => change({ bed: event.target.value as Bed })}
                  choices={Object.entries(BEDS).map(([value, { name }]) => ({ value, text: name }))}
                />
              </Field>
              <Field label="clock" htmlFor="mark-zone" hint="its times are told in this zone">
                <Select
                  id="mark-zone"
                  value={mark.timeZone}
                  onChange={(event) => change({ timeZone: event.target.value })}
                  choices={zonesWith(mark.timeZone)}
                />
              </Field>
            </div>
          </Sheet>
          <Sheet title="How it is fished">
            <div className="grid gap-2">
              <Field label="fished" htmlFor="mark-method">
                <Select
                  id="mark-method"
                  value={mark.method}
                  onChange={(event) => {
                    const method = event.target.value as Method
                    change({ method, scope: METHODS[method].scope })
                  }}
                  choices={Object.entries(METHODS).map(([value, { name }]) => ({ value, text: name }))}
                />
              </Field>
              {cast && (
                <QuantityField
                  label="distance"
                  quantity="length"
                  valueSi={mark.distanceM}
                  check={(m) => (m > 0 && m <= 1000 ? undefined : 'More than nothing, up to a kilometre.')}
                  onChange={(distanceM) => change({ distanceM })}
                />
              )}
              <NumberField
                label="scope"
                value={mark.scope}
                least={1.01}
                most={3}
                onChange={(scope) => scope !== undefined && change({ scope })}
                hint={cast ? 'line out over the straight distance' : 'line out over depth'}
              />
              <NumberField
                label="weed"
                value={mark.weedFactor}
                least={1}
                most={3}
                onChange={(weedFactor) => weedFactor !== undefined && change({ weedFactor })}
                hint="times the line’s thickness; 1 is clean"
              />
            </div>
          </Sheet>
          <Sheet title="Notes">
            <textarea
              aria-label="notes"
              className={`${fieldClass} min-h-24`}
              maxLength={4000}
              value={mark.notes ?? ''}
              onChange={(event) => change({ notes: event.target.value })}
            />
          </Sheet>
        </div>
        <div className="grid gap-3">
          <Sheet title="The tide">
            <div className="grid gap-2">
              <Field label="port" htmlFor="mark-port">
                <Select
                  id="mark-port"
                  value={mark.portId}
                  onChange={(event) => change({ portId: event.target.value })}
                  choices={ports.map(({ id, name }) => ({ value: id, text: name }))}
                />
              </Field>
              <NumberField
                label="high water"
                value={mark.highWaterAfterMin}
                least={-360}
                most={360}
                whole
                onChange={(highWaterAfterMin) => highWaterAfterMin !== undefined && change({ highWaterAfterMin })}
                hint="minutes after the port’s; before it with a minus"
              />
              <HeightTable mark={mark} onChange={(heights) => change({ heights })} />
            </div>
          </Sheet>
          <StreamTable stream={mark.stream} name={mark.name} onChange={(stream) => change({ stream })} />
        </div>
      </div>
    </form>
  )
}

const FIELD_WORDS: Record<string, string> = {
  name: 'The name',
  latitudeDeg: 'The latitude',
  longitudeDeg: 'The longitude',
  depthM: 'The depth',
  stream: 'The stream table',
  heights: 'The table of heights',
}

/** Every zone this browser knows, and the mark’s own. */
const zonesWith = (own: string) =>
  [...new Set([own, 'UTC', ...Intl.supportedValuesOf('timeZone')])].toSorted().map((zone) => ({ value: zone, text: zone }))
