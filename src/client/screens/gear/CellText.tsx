import { useState } from 'react'
import { fieldClass } from '../../ui/controls.tsx'
import type { ReadText } from '../../ui/useDraftText.ts'

type Props<T> = { label: string; shown: string; read: (text: string) => ReadText<T>; onCommit: (value: T) => void }

/** A cell that is typed into: Enter or leaving it keeps what reads, Escape takes it back, and what does not read says why. */
export function CellText<T>({ label, shown, read, onCommit }: Props<T>) {
  const [typed, setTyped] = useState<string>()
  const now = typed === undefined || typed === shown ? undefined : read(typed)
  const fault = now && !now.ok ? now.message : undefined
  const leave = () => {
    if (now?.ok) onCommit(now.value)
    if (!fault) setTyped(undefined)
  }
  return (
    <span className="relative block">
      <input
        className={`${fieldClass} border-transparent! hover:border-rule! focus:border-rule!`}
        aria-label={label}
        aria-invalid={fault ? true : undefined}
        title={fault}
        autoComplete="off"
        spellCheck={false}
        value={typed ?? shown}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={leave}
        onKeyDown={(event) => {
          if (event.key === 'Enter') leave()
          if (event.key === 'Escape') setTyped(undefined)
        }}
      />
      {fault && (
        <span
          role="alert"
          className="absolute top-full left-0 z-10 rounded-md border border-fails bg-sheet px-2 py-1 text-sm text-fails"
        >
          {fault}
        </span>
      )}
    </span>
  )
}
