type Props = { label: string; checked: boolean; onChange: (checked: boolean) => void }

/** A yes or no with its words beside it. */
export function CheckField({ label, checked, onChange }: Props) {
  return (
    <label className="flex items-center gap-2">
      <input type="checkbox" className="size-5" checked={checked} onChange={(event) => onChange(event.target.checked)} />
      {label}
    </label>
  )
}
