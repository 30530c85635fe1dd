import type { ButtonHTMLAttributes, HTMLAttributes, ReactNode, SelectHTMLAttributes } from 'react'

type Tone = 'plain' | 'strong' | 'quiet'

const TONES: Record<Tone, string> = {
  plain: 'border-edge bg-sheet hover:bg-well',
  strong: 'border-tide bg-tide text-on-tide hover:opacity-90',
  quiet: 'border-transparent hover:bg-well',
}

export const buttonClass = (tone: Tone = 'plain') =>
  `inline-flex min-h-9 items-center justify-center gap-1.5 rounded-md border px-3 py-1 font-medium whitespace-nowrap disabled:opacity-45 ${TONES[tone]}`

export function Button({ tone = 'plain', className = '', ...rest }: ButtonHTMLAttributes<HTMLButtonElement> & { tone?: Tone }) {
  return <button type="button" className={`${buttonClass(tone)} ${className}`} {...rest} />
}

export const fieldClass = 'min-h-9 w-full min-w-0 rounded-md border border-edge bg-well px-2 py-1 aria-invalid:border-fails'

/** A labelled row: the label on the left, its control on the right, a hint or fault under it. */
export function Field({
  label,
  htmlFor,
  hint,
  fault,
  children,
}: {
  label: string
  htmlFor: string
  hint?: ReactNode
  fault?: string | undefined
  children: ReactNode
}) {
  return (
    <div className="grid grid-cols-[7.5rem_minmax(0,1fr)] items-center gap-x-3 gap-y-0.5">
      <label htmlFor={htmlFor} className="text-quiet">
        {label}
      </label>
      {children}
      {fault ? (
        <p id={`${htmlFor}-fault`} role="alert" className="col-start-2 text-sm text-fails">
          {fault}
        </p>
      ) : hint ? (
        <p id={`${htmlFor}-hint`} className="col-start-2 text-sm text-quiet">
          {hint}
        </p>
      ) : null}
    </div>
  )
}

export type Choice<T extends string = string> = {
  value: T
  text: string
  disabled?: boolean | undefined
  isName?: boolean | undefined
}

type SelectProps<T extends string> = Omit<SelectHTMLAttributes<HTMLSelectElement>, 'value' | 'onChange'> & {
  choices: readonly Choice<T>[]
  value: NoInfer<T> | undefined
  onChoose: (value: T) => void
}

/** A list to choose one of; the choice has the type of the choices. */
export function Select<T extends string>({ choices, onChoose, ...rest }: SelectProps<T>) {
  const choose = (value: string) => {
    const chosen = choices.find((choice) => choice.value === value)
    if (chosen) onChoose(chosen.value)
  }
  return (
    <select className={fieldClass} onChange={(event) => choose(event.target.value)} {...rest}>
      {choices.map(({ value, text, disabled, isName }) => (
        <option key={value} value={value} disabled={disabled} {...(isName ? { translate: 'no' } : {})}>
          {text}
        </option>
      ))}
    </select>
  )
}

/** The entries of a table as choices. */
/** Documents as choices; their names are as someone typed them. */
export const namesOf = (documents: readonly { id: string; content: { name: string } }[]): Choice<string>[] =>
  documents.map(({ id, content }) => ({ value: id, text: content.name, isName: true }))

export const choicesOf = <T extends string>(table: Readonly<Record<T, { name: string }>>): Choice<T>[] =>
  (Object.keys(table) as T[]).map((value) => ({ value, text: table[value].name }))

/** A sheet of the page with its heading. */
export function Sheet({
  title,
  aside,
  children,
  className = '',
  ...rest
}: {
  title?: string
  aside?: ReactNode
  children: ReactNode
} & Omit<HTMLAttributes<HTMLElement>, 'title'>) {
  return (
    <section className={`rounded-lg border border-rule bg-sheet p-3 ${className}`} aria-label={title} {...rest}>
      {(title || aside) && (
        <div className="mb-2 flex flex-wrap items-baseline justify-between gap-x-3">
          {title && <h2 className="font-semibold">{title}</h2>}
          {aside}
        </div>
      )}
      {children}
    </section>
  )
}
