import { useState } from 'react'
import type { Finding } from '../../../core/advice/finding.ts'
import { setAside } from '../../../core/advice/setAside.ts'
import { Button, Field, fieldClass } from '../../ui/controls.tsx'
import { Panel } from '../../ui/Panel.tsx'
import type { Bench } from './useBench.ts'

/** A finding one knows of and lives with is set aside, with the reason; it comes back if it gets worse. */
export function SetAsidePanel({ finding, bench }: { finding: Finding; bench: Bench }) {
  const [open, setOpen] = useState(false)
  const [reason, setReason] = useState('')
  const given = reason.trim()
  return (
    <Panel
      open={open}
      onOpenChange={setOpen}
      title="Ignore"
      about="This trace no longer shows it. It returns if it gets worse."
      trigger={
        <Button tone="quiet" className="text-sm">
          Ignore …
        </Button>
      }
    >
      <form
        className="mt-3 grid gap-2"
        onSubmit={(event) => {
          event.preventDefault()
          if (!given) return
          setOpen(false)
          bench.editTrace((old) => setAside(old, finding, given))
        }}
      >
        <Field label="reason" htmlFor="aside-reason">
          <input
            id="aside-reason"
            className={fieldClass}
            value={reason}
            maxLength={200}
            autoComplete="off"
            data-focus-first
            onChange={(event) => setReason(event.target.value)}
          />
        </Field>
        <Button tone="strong" type="submit" className="justify-self-end" disabled={!given}>
          Ignore
        </Button>
      </form>
    </Panel>
  )
}
