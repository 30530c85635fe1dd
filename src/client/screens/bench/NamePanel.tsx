import { PencilLine } from 'lucide-react'
import { useState } from 'react'
import { cutText } from '../../../core/documents/text.ts'
import { MAX_TAG, MAX_TAGS } from '../../../core/documents/vocabulary.ts'
import { Button, Field, fieldClass } from '../../ui/controls.tsx'
import { Panel } from '../../ui/Panel.tsx'
import type { Bench } from './useBench.ts'

/** Name, tags and notes of the trace; like any change, they are undone with undo and kept with save. */
export function NamePanel({ bench }: { bench: Bench }) {
  const { trace } = bench.content
  const [name, setName] = useState(trace.name)
  const [tags, setTags] = useState('')
  const [notes, setNotes] = useState('')
  const [open, setOpen] = useState(false)
  const valid = name.trim() !== ''
  return (
    <Panel
      open={open}
      onOpenChange={(next) => {
        setOpen(next)
        setName(trace.name)
        setTags((trace.tags ?? []).join(', '))
        setNotes(trace.notes ?? '')
        bench.settle()
      }}
      title="Name, tags and notes"
      about="The library searches names and tags."
      trigger={
        <button
          type="button"
          className="ml-2 inline-grid size-9 place-items-center rounded-md align-middle text-quiet hover:bg-well"
          aria-label="Name, tags and notes"
          title="Name, tags and notes"
        >
          <PencilLine className="size-4" />
        </button>
      }
    >
      <div className="mt-3 grid gap-2">
        <Field label="name" htmlFor="trace-name" fault={valid ? undefined : 'Enter a name.'}>
          <input
            id="trace-name"
            className={fieldClass}
            value={name}
            maxLength={80}
            aria-invalid={valid ? undefined : true}
            aria-describedby={valid ? undefined : 'trace-name-fault'}
            onChange={(event) => {
              setName(event.target.value)
              const next = event.target.value.trim()
              if (next) bench.editTrace((old) => ({ ...old, name: next }), 'name')
            }}
          />
        </Field>
        <Field label="tags" htmlFor="trace-tags" hint="separate tags with commas">
          <input
            id="trace-tags"
            className={fieldClass}
            value={tags}
            maxLength={300}
            autoComplete="off"
            aria-describedby="trace-tags-hint"
            onChange={(event) => {
              setTags(event.target.value)
              const next = readTags(event.target.value)
              bench.editTrace((old) => ({ ...old, tags: next.length > 0 ? next : undefined }), 'tags')
            }}
          />
        </Field>
        <Field label="notes" htmlFor="trace-notes">
          <textarea
            id="trace-notes"
            className={`${fieldClass} min-h-28`}
            value={notes}
            maxLength={4000}
            onChange={(event) => {
              const next = event.target.value
              setNotes(next)
              bench.editTrace((old) => ({ ...old, notes: next || undefined }), 'notes')
            }}
          />
        </Field>
        <Button tone="strong" className="justify-self-end" onClick={() => setOpen(false)}>
          Done
        </Button>
      </div>
    </Panel>
  )
}

/** Tags as typed: no empty ones, none twice, none longer than can be kept. */
function readTags(typed: string): string[] {
  const words = typed.split(',').map((word) => cutText(word.trim(), MAX_TAG).trim())
  return [...new Set(words.filter(Boolean))].slice(0, MAX_TAGS)
}
