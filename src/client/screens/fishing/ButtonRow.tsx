import { BigButton } from './BigButton.tsx'

type Props<T extends string> = {
  label: string
  choices: readonly { value: T; name: string }[]
  value: T | undefined
  onChoose: (value: T) => void
}

/** One of a few, each as a large button. */
export function ButtonRow<T extends string>({ label, choices, value, onChoose }: Props<T>) {
  return (
    <fieldset>
      <legend className="text-sm text-quiet">{label}</legend>
      <div className="grid grid-cols-3 gap-2">
        {choices.map((choice) => (
          <BigButton
            key={choice.value}
            name={choice.name}
            isChosen={value === choice.value}
            onClick={() => onChoose(choice.value)}
          />
        ))}
      </div>
    </fieldset>
  )
}
