import type { ReactNode } from 'react'
import { Link } from 'react-router'
import type { DocumentKind } from '../../shared/kindNames.ts'
import { Button, buttonClass } from '../ui/controls.tsx'
import { Panel } from '../ui/Panel.tsx'
import { FormNotes } from './FormNotes.tsx'
import { HistoryPanel } from './HistoryPanel.tsx'
import type { DocumentForm } from './useDocumentForm.ts'

type PageProps<K extends DocumentKind> = {
  of: DocumentForm<K>
  title: string
  back: { to: string; text: string }
  actions?: ReactNode
  children: ReactNode
}

/** The form of a document as a page: title, history and Save on top. */
export function DocumentFormFrame<K extends DocumentKind>({ of, title, back, actions, children }: PageProps<K>) {
  return (
    <FormElement of={of} className="grid grid-cols-[minmax(0,1fr)] gap-3 p-3 sm:px-6">
      <div className="no-print flex flex-wrap items-center gap-3">
        <h1 className="mr-auto text-xl font-bold">{title}</h1>
        {actions}
        <FormHistory of={of} />
        <Link to={back.to} className={buttonClass('quiet')}>
          {back.text}
        </Link>
        <SaveButton of={of} />
      </div>
      <FormNotes of={of} />
      <div key={of.version} className="contents">
        {children}
      </div>
    </FormElement>
  )
}

type PanelProps<K extends DocumentKind> = {
  of: DocumentForm<K>
  title: string
  about: string
  onClose: () => void
  children: ReactNode
}

/** The form of a document in a dialog over its list. Closing it keeps the unsaved changes. */
export function DocumentPanel<K extends DocumentKind>({ of, title, about, onClose, children }: PanelProps<K>) {
  return (
    <Panel open onOpenChange={onClose} title={title} about={about}>
      <FormElement of={of} className="mt-3 grid gap-2">
        <FormNotes of={of} />
        <div key={of.version} className="contents">
          {children}
        </div>
        <div className="flex justify-end gap-2">
          <FormHistory of={of} />
          <SaveButton of={of} />
        </div>
      </FormElement>
    </Panel>
  )
}

type Part<K extends DocumentKind> = { of: DocumentForm<K> }

function FormElement<K extends DocumentKind>({ of, className, children }: Part<K> & { className: string; children: ReactNode }) {
  return (
    <form
      ref={of.form}
      className={className}
      noValidate
      onKeyDown={(event) => {
        if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 's' || event.defaultPrevented) return
        event.preventDefault()
        of.submit()
      }}
      onSubmit={(event) => {
        event.preventDefault()
        // A dialog over this form is its child in React: its own submit is not this one.
        if (event.target === event.currentTarget) of.submit()
      }}
    >
      {children}
    </form>
  )
}

const SaveButton = <K extends DocumentKind>({ of }: Part<K>) => (
  <Button type="submit" tone="strong" disabled={of.isSaving} aria-keyshortcuts="Control+S" title="Save (Ctrl+S)">
    Save
  </Button>
)

const FormHistory = <K extends DocumentKind>({ of: { kind, saved, content, bringBack } }: Part<K>) =>
  saved ? <HistoryPanel kind={kind} id={saved.id} current={content} onBringBack={bringBack} /> : null
