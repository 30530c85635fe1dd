import type { ReactNode } from 'react'
import { Link } from 'react-router'
import { Button, buttonClass } from '../ui/controls.tsx'
import { DraftNotes } from './DraftNotes.tsx'
import type { DocumentForm, FormKind } from './useDocumentForm.ts'

type Props<K extends FormKind> = {
  of: DocumentForm<K>
  title: string
  back: { to: string; text: string }
  actions?: ReactNode
  children: ReactNode
}

/** The frame of a document’s form: its title and Save, what is unsaved, and what kept it from being saved. */
export function DocumentFormFrame<K extends FormKind>({ of, title, back, actions, children }: Props<K>) {
  const { one, form, submit, complaint, resumed, draft, takeUp, saving, error, theirs, takeTheirs, saveOver } = of
  return (
    <form
      ref={form}
      className="grid grid-cols-[minmax(0,1fr)] gap-3 p-3 sm:px-6"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        submit()
      }}
    >
      <div className="no-print flex flex-wrap items-center gap-3">
        <h1 className="mr-auto text-xl font-bold">{title}</h1>
        {resumed && <span className="text-sm text-watch">with what you left unsaved</span>}
        {actions}
        <Link to={back.to} className={buttonClass('quiet')}>
          {back.text}
        </Link>
        <Button type="submit" tone="strong" disabled={saving}>
          Save
        </Button>
      </div>
      <DraftNotes draft={draft} onTakeUp={takeUp} />
      {complaint && (
        <p role="alert" className="rounded-lg border border-fails bg-sheet p-3">
          {complaint}
        </p>
      )}
      {error && (
        <p role="alert" className="rounded-lg border border-fails bg-sheet p-3">
          {error.message}
        </p>
      )}
      {theirs && (
        <div role="alert" className="flex flex-wrap items-center gap-3 rounded-lg border border-watch bg-sheet p-3">
          <span className="mr-auto">This {one} was saved elsewhere since. Nothing is lost: yours is here, theirs is kept.</span>
          <Button onClick={takeTheirs}>Take theirs</Button>
          <Button tone="strong" onClick={saveOver}>
            Save mine over it
          </Button>
        </div>
      )}
      {children}
    </form>
  )
}
