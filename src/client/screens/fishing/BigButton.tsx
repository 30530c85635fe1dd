import type { ButtonHTMLAttributes, ReactNode } from 'react'

type Props = ButtonHTMLAttributes<HTMLButtonElement> & { name: string; below?: ReactNode; isChosen?: boolean }

/** A button for a wet thumb in the dark. */
export function BigButton({ name, below, isChosen, className = '', ...rest }: Props) {
  return (
    <button
      type="button"
      {...(isChosen === undefined ? {} : { 'aria-pressed': isChosen })}
      className={`min-h-16! rounded-lg border px-2 py-2 text-center font-semibold disabled:opacity-45 ${
        isChosen ? 'border-tide bg-tide text-on-tide' : 'border-edge bg-sheet active:bg-well'
      } ${className}`}
      {...rest}
    >
      {name}
      {below && <span className={`block text-sm font-normal ${isChosen ? '' : 'text-quiet'}`}>{below}</span>}
    </button>
  )
}
