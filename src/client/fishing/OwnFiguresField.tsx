import { useOwnFigures } from '../catalogue/useCatalogue.ts'
import { CheckField } from '../ui/CheckField.tsx'

/** Whether one’s own pulls count, everywhere in this browser. */
export function OwnFiguresField() {
  const { own, setOwn } = useOwnFigures()
  return <CheckField label="own figures count everywhere; off, the nominal ones do" checked={own} onChange={setOwn} />
}
