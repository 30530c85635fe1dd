import { useOwnFigures } from '../catalogue/useCatalogue.ts'
import { CheckField } from '../ui/CheckField.tsx'

/** Whether one’s own pulls count, everywhere in this browser; and whether breaks on the water do, for the whole crew. */
export function OwnFiguresField() {
  const { own, setOwn, field, setField } = useOwnFigures()
  return (
    <div className="grid gap-1">
      <CheckField label="use my measurements instead of nominal values" checked={own} onChange={setOwn} />
      {own && <CheckField label="count breaks on the water in them" checked={field} onChange={setField} />}
    </div>
  )
}
