import { useOwnFigures } from '../catalogue/useCatalogue.ts'
import { CheckField } from '../ui/CheckField.tsx'

/** Whether one’s own pulls count, everywhere in this browser. */
export function OwnFiguresField() {
  const { own, setOwn } = useOwnFigures()
  return <CheckField label="use my measurements instead of nominal values" checked={own} onChange={setOwn} />
}
