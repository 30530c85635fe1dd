import { useRef, useState } from 'react'
import { fieldClass } from '../../ui/controls.tsx'
import type { ReadText } from '../../ui/useDraftText.ts'

type Props<T> = {
  label: string
  shown: string
  read: (text: string) => ReadText<T>
  /** Saves the value. Resolves to the reason if it was not saved. */
  onCommit: (value: T) => Promise<string | undefined>
}

/** An editable cell. Enter or leaving it saves, Escape cancels. A text that is invalid or was not saved stays, with the reason. */
export function CellText<T>({ label, shown, read, onCommit }: Props<T>) {
  const [typed, setTyped] = useState<string>()
  const [failed, setFailed] = useState<{ text: string; why: string }>()
  const saving = useRef(false)
  const now = typed === undefined || typed === shown ? undefined : read(typed)
  const fault = now && !now.ok ? now.message : failed?.text === typed ? failed?.why : undefined
  const leave = async () => {
    if (typed === undefined || saving.current) return
    if (!now) return setTyped(undefined)
    if (!now.ok) return
    saving.current = true
    const why = await onCommit(now.value)
    saving.current = false
    if (why === undefined) setTyped((text) => (text === typed ? undefined : text))
    else setFailed({ text: typed, why })
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
        onBlur={() => void (failed?.text !== typed && leave())}
        onKeyDown={(event) => {
          if (event.key === 'Enter') void leave()
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
