import { useState } from 'react'
import type { ReadFile } from '../../../files/readCsv.ts'
import { FileFaults } from '../../ui/FileFaults.tsx'
import { FileField } from '../../ui/FileField.tsx'
import { placesOf, readChosen } from '../../ui/readChosen.ts'

type Props<T> = { label: string; hint: string; read: (text: string) => Promise<ReadFile<T[]>>; onRead: (rows: T[]) => void }

/** A table from a CSV file: taken into the form when all of it reads, else every wrong line is named and nothing changes. */
export function ChooseTable<T>({ label, hint, read, onRead }: Props<T>) {
  const [outcome, setOutcome] = useState<ReadFile<T[]>>()
  const choose = async (file: File | undefined) => {
    if (!file) return setOutcome(undefined)
    const result = await readChosen(file, read)
    setOutcome(result)
    if (result.ok) onRead(result.value)
  }
  return (
    <>
      <FileField label={label} hint={hint} accept=".csv,text/csv" onChoose={choose} />
      {outcome && !outcome.ok && <FileFaults faults={placesOf(outcome)} />}
      {outcome?.ok && <p role="status">{outcome.value.length} rows taken in; Save keeps them.</p>}
    </>
  )
}
