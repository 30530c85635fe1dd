import { MOST_BYTES, type ReadFile, refused } from '../../files/readCsv.ts'

/** Reads a file that was chosen, unless it is larger than any that is taken: a wrong file is refused before it is read. */
export async function readChosen<T>(file: File, read: (text: string) => Promise<ReadFile<T>>): Promise<ReadFile<T>> {
  return file.size > MOST_BYTES ? refused('The file is over 5 MB') : read(await file.text())
}

/** Faults of a file with their places in words. */
export const placesOf = (read: ReadFile<unknown>) =>
  read.ok ? [] : read.faults.map(({ line, message }) => ({ place: line === undefined ? 'the file' : `line ${line}`, message }))
