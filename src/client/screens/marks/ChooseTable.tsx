import { useState } from 'react'
import type { ReadFile } from '../../../files/readCsv.ts'
import type { FileFormats } from '../../../workers/readFile.protocol.ts'
import { FileFaults } from '../../ui/FileFaults.tsx'
import { FileField } from '../../ui/FileField.tsx'
import { placesOf, type ReadOf, type RowFormat, readChosen } from '../../ui/readChosen.ts'

type Props<F extends RowFormat> = {
  label: string
  hint: string
  format: F
  /** What the reader needs besides the file. */
  readWith: FileFormats[F]['with']
  onRead: (rows: ReadOf<F>) => void
}

/** A table from a CSV file: taken into the form when all of it reads, else every wrong line is named and nothing changes. */
export function ChooseTable<F extends RowFormat>({ label, hint, format, readWith, onRead }: Props<F>) {
  const [outcome, setOutcome] = useState<ReadFile<ReadOf<F>>>()
  const choose = async (file: File | undefined) => {
    if (!file) return setOutcome(undefined)
    const result = await readChosen(format, file, readWith)
    setOutcome(result)
    if (result.ok) onRead(result.value)
  }
  return (
    <>
      <FileField label={label} hint={hint} accept=".csv,text/csv" onChoose={choose} />
      {outcome && !outcome.ok && <FileFaults faults={placesOf(outcome)} />}
      {outcome?.ok && <p role="status">{outcome.value.length} rows imported. Save to keep them.</p>}
    </>
  )
}
