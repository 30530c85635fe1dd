import type { ReactNode } from 'react'
import { Panel } from '../../ui/Panel.tsx'
import { BigButton } from './BigButton.tsx'

type Choice = { key: string; name: string; below?: ReactNode }
type Props = {
  title: string
  about: string
  choices: readonly Choice[]
  onChoose: (key: string) => void
  onClose: () => void
  children?: ReactNode
}

/** One of a few, by one touch. */
export function ChoicePanel({ title, about, choices, onChoose, onClose, children }: Props) {
  return (
    <Panel open onOpenChange={onClose} title={title} about={about}>
      <div className="mt-3 grid gap-2">
        {children}
        {choices.map(({ key, name, below }) => (
          <BigButton key={key} name={name} below={below} onClick={() => onChoose(key)} />
        ))}
      </div>
    </Panel>
  )
}
